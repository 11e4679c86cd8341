package dipstick.server.outreach;

import dipstick.server.people.PersonLine;

/**
 * Somebody on a list as it goes out of the house; everything in words, empty where there is nothing to say. Days are ISO
 * dates.
 */
public record Listed(
        PersonLine person,
        String standing,
        String state,
        String due,
        String band,
        String why,
        String nextStep,
        String nextOn,
        String inHand,
        String lastAttempt,
        String lastAttemptOn,
        String joinedOn,
        String alsoOn,
        String heldBack) {}
