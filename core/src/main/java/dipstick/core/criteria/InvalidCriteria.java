package dipstick.core.criteria;

import java.util.List;
import java.util.Map;

/** Documents that cannot be evaluated, with everything that is wrong with each. */
public final class InvalidCriteria extends Exception {
    private static final long serialVersionUID = 1L;

    private final transient Map<String, List<Problem>> problems;

    /** @param problems by the name of the document that they are in */
    InvalidCriteria(Map<String, List<Problem>> problems) {
        super("Criteria that cannot be evaluated: " + problems);
        this.problems = problems;
    }

    public Map<String, List<Problem>> problems() {
        return problems;
    }

    /** The first thing that is wrong, in a sentence. */
    public String first() {
        return problems.values().stream()
                .flatMap(List::stream)
                .findFirst()
                .map(Problem::message)
                .orElse("they do not fit.");
    }
}
