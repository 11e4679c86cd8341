package dipstick.server.personal;

/** A part of the product that holds something of people by their number: where two numbers are one person, it follows. */
public interface FollowsPerson {
    /**
     * That two are one.
     *
     * @param id by which it is known again
     * @param person the number under which they go on
     * @param other the number that only leads to them from now on
     */
    record Joining(long id, String person, String other) {}

    /** Gives what is held of the other number to the person, within the transaction that is going on. */
    void join(Joining joining);

    /** Gives it back, as far as it is still the person's. What came to the person since stays with them. */
    void part(Joining joining);
}
