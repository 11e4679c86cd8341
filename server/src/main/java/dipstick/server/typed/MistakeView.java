package dipstick.server.typed;

import dipstick.core.typed.Mistake;

/** @param from where it begins, and {@code to} where it ends, in characters of what was typed */
record MistakeView(int from, int to, String message) {
    static MistakeView of(Mistake mistake) {
        return new MistakeView(mistake.from(), mistake.to(), mistake.said());
    }
}
