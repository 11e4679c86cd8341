package dipstick.server.outreach.desk;

import java.util.Comparator;
import java.util.PriorityQueue;
import java.util.stream.Stream;

/** The first few of many, without all of them being sorted. */
final class First {
    private First() {}

    static <T> Stream<T> of(int most, Stream<T> all, Comparator<T> order) {
        if (most == 0) {
            return Stream.empty();
        }
        // The last of the first is on top.
        PriorityQueue<T> first = new PriorityQueue<>(most, order.reversed());
        all.forEach(one -> {
            if (first.size() < most) {
                first.add(one);
            } else if (order.compare(one, first.element()) < 0) {
                first.remove();
                first.add(one);
            }
        });
        return first.stream().sorted(order);
    }
}
