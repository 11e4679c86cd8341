package dipstick.server.accounts;

import java.util.Optional;

/** Something that colleagues hold, and that another one takes over when they leave. */
public interface Holdings {
    /** What somebody holds, in words such as “3 criteria sets”; nothing where they hold none of it. */
    Optional<String> heldBy(String account);

    /**
     * Gives all of it to a colleague; refused where they cannot hold it.
     *
     * @return a sentence about what nobody holds from then on; nothing where the colleague has it all
     */
    Optional<String> handOver(Colleague from, Colleague to);
}
