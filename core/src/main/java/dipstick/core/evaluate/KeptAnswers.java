package dipstick.core.evaluate;

import dipstick.core.criteria.Test;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * Room for the answers of any number of evaluators: so many bytes, for which those that were not asked for longest make way.
 * Safe for use by several threads.
 */
public final class KeptAnswers {
    /** What an answer takes besides the bits of its people. */
    private static final int BYTES_AROUND = 256;

    private final long mostBytes;
    private final Map<Key, Answer> answers = new LinkedHashMap<>(64, 0.75f, true);
    private long bytes;
    private long found;
    private long workedOut;

    /** @param owner what holds the answers of one evaluator; each is only the same as itself */
    private record Key(AnswerCache owner, Test test) {}

    /**
     * What there is, and how often it was of use.
     *
     * @param bytes of the answers that are kept
     * @param found how often an answer was kept that was asked for, and {@code workedOut} how often one had to be worked out
     */
    public record Figures(long bytes, int answers, long found, long workedOut) {}

    public KeptAnswers(long mostBytes) {
        this.mostBytes = mostBytes;
    }

    /** A sixteenth of the memory that there is at most. */
    public static KeptAnswers inThisMemory() {
        return new KeptAnswers(Runtime.getRuntime().maxMemory() / 16);
    }

    public synchronized Figures figures() {
        return new Figures(bytes, answers.size(), found, workedOut);
    }

    synchronized Optional<Answer> find(AnswerCache owner, Test test) {
        return Optional.ofNullable(answers.get(new Key(owner, test)));
    }

    /** Somebody asked, and the answer was kept, or had to be worked out. */
    synchronized void asked(boolean wasKept) {
        if (wasKept) {
            found++;
        } else {
            workedOut++;
        }
    }

    synchronized void keep(AnswerCache owner, Test test, Answer answer) {
        Answer before = answers.put(new Key(owner, test), answer);
        bytes += bytesOf(answer) - (before == null ? 0 : bytesOf(before));
        var eldest = answers.entrySet().iterator();
        while (bytes > mostBytes && eldest.hasNext()) {
            bytes -= bytesOf(eldest.next().getValue());
            eldest.remove();
        }
    }

    synchronized void forget(AnswerCache owner) {
        answers.entrySet().removeIf(entry -> {
            boolean gone = entry.getKey().owner() == owner;
            bytes -= gone ? bytesOf(entry.getValue()) : 0;
            return gone;
        });
    }

    private static long bytesOf(Answer answer) {
        return BYTES_AROUND + ((long) answer.yes().size() + answer.unsure().size()) / Byte.SIZE;
    }
}
