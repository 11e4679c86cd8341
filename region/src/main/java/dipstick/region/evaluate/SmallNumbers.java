package dipstick.region.evaluate;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import tools.jackson.core.JsonPointer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Hides numbers of so few people that somebody may know who they are: each such number, those by which it could be worked out
 * within a practice, and so many of the same of other practices that what is left of the whole does not tell it.
 */
final class SmallNumbers {
    private static final JsonPointer PEOPLE = JsonPointer.compile("/population/people");
    private static final JsonPointer ELIGIBLE = JsonPointer.compile("/eligible/yes");
    private static final JsonPointer HAS = JsonPointer.compile("/has/yes");
    private static final JsonPointer LIST = JsonPointer.compile("/list/yes");

    private final int below;
    private final List<ObjectNode> nodes;
    private final List<Set<JsonPointer>> hidden = new ArrayList<>();

    private SmallNumbers(int below, List<ObjectNode> nodes) {
        this.below = below;
        this.nodes = nodes;
        nodes.forEach(_ -> hidden.add(new HashSet<>()));
    }

    /**
     * Puts null in the place of what is hidden.
     *
     * @param below the least number that is told; nobody is told, too; 0 where all are
     * @param all the levels of all practices together
     * @param practices those of each, by the same criteria
     */
    static void hide(int below, ObjectNode all, List<ObjectNode> practices) {
        if (below == 0) {
            return;
        }
        List<ObjectNode> nodes = new ArrayList<>(practices);
        nodes.add(all);
        SmallNumbers small = new SmallNumbers(below, nodes);
        List<JsonPointer> numbers = new ArrayList<>();
        numbersIn(all, JsonPointer.empty(), numbers);
        for (int node = 0; node < nodes.size(); node++) {
            small.hideSmall(node, numbers);
            small.hideSteps(node);
        }
        // What is hidden of one number may leave another one open.
        int before = 0;
        while (small.howMany() > before) {
            before = small.howMany();
            numbers.forEach(small::hideAmongPractices);
        }
        small.blank();
    }

    private static void numbersIn(JsonNode node, JsonPointer at, List<JsonPointer> found) {
        if (node.isInt()) {
            found.add(at);
        }
        node.properties().forEach(part -> numbersIn(part.getValue(), at.appendProperty(part.getKey()), found));
        for (int i = 0; node.isArray() && i < node.size(); i++) {
            numbersIn(node.get(i), at.appendIndex(i), found);
        }
    }

    private boolean isSmall(int number) {
        return number > 0 && number < below;
    }

    private int number(int node, JsonPointer at) {
        return nodes.get(node).at(at).asInt();
    }

    private void hideSmall(int node, List<JsonPointer> numbers) {
        numbers.stream().filter(at -> isSmall(number(node, at))).forEach(at -> hide(node, at));
    }

    /**
     * From one level to the next so few may fall away that their number is told by the two of them. Of these the later one
     * stays, so that who is eligible is told wherever it can be.
     */
    private void hideSteps(int node) {
        Deque<JsonPointer> shown = new ArrayDeque<>();
        for (JsonPointer level : levels(node).reversed()) {
            int left = number(node, level);
            if (isSmall(left) || (!shown.isEmpty() && isSmall(left - number(node, shown.peek())))) {
                hideLevel(node, level);
            } else {
                shown.push(level);
            }
        }
        while (!shown.isEmpty() && isSmall(number(node, PEOPLE) - number(node, shown.peek()))) {
            hideLevel(node, shown.pop());
        }
    }

    /** Who remains at each level that has it. */
    private List<JsonPointer> levels(int node) {
        return IntStream.range(0, nodes.get(node).path("levels").size())
                .mapToObj(level -> JsonPointer.compile("/levels/" + level + "/remaining/yes"))
                .filter(at -> !nodes.get(node).at(at).isMissingNode())
                .toList();
    }

    private void hideLevel(int node, JsonPointer remaining) {
        hide(node, remaining);
        hide(node, remaining.head().head().appendProperty("alone").appendProperty("yes"));
    }

    /** With those by which it could be worked out: whoever is left at the last level is eligible, and has it or is on the list. */
    private void hide(int node, JsonPointer at) {
        if (!hidden.get(node).add(at)) {
            return;
        }
        boolean isLast = !levels(node).isEmpty() && at.equals(levels(node).getLast());
        if (isLast) {
            hide(node, ELIGIBLE);
        } else if (at.equals(ELIGIBLE)) {
            levels(node).reversed().stream().limit(1).forEach(last -> hide(node, last));
            hide(node, HAS);
        } else if (at.equals(HAS)) {
            hide(node, LIST);
        } else if (at.equals(LIST)) {
            hide(node, HAS);
        }
    }

    private int howMany() {
        return hidden.stream().mapToInt(Set::size).sum();
    }

    /** The last node is the whole. */
    private void hideAmongPractices(JsonPointer at) {
        int whole = nodes.size() - 1;
        List<Integer> of = new ArrayList<>();
        int sum = 0;
        for (int node = 0; node < whole; node++) {
            if (hidden.get(node).contains(at)) {
                of.add(node);
                sum += number(node, at);
            }
        }
        while (!of.isEmpty()
                && (of.size() == 1 || isSmall(sum))
                && !hidden.get(whole).contains(at)) {
            Optional<Integer> next = leastShown(at);
            if (next.isPresent()) {
                of.add(next.get());
                sum += number(next.get(), at);
                hide(next.get(), at);
            } else {
                hide(whole, at);
            }
        }
    }

    private Optional<Integer> leastShown(JsonPointer at) {
        List<Integer> shown = new ArrayList<>();
        for (int node = 0; node < nodes.size() - 1; node++) {
            if (!hidden.get(node).contains(at) && number(node, at) > 0) {
                shown.add(node);
            }
        }
        return shown.stream().min(Comparator.comparingInt(node -> number(node, at)));
    }

    private void blank() {
        for (int node = 0; node < nodes.size(); node++) {
            for (JsonPointer at : hidden.get(node)) {
                ObjectNode around = (ObjectNode) nodes.get(node).at(at.head());
                around.putNull(at.last().getMatchingProperty());
            }
        }
    }
}
