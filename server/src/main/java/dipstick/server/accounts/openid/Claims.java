package dipstick.server.accounts.openid;

import java.util.Arrays;
import java.util.Collection;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What the sign-in service says of somebody (OpenID Connect Core 1.0, section 5).
 *
 * @param all by name; one may hold others, whose names then follow it after a dot
 */
public record Claims(Map<String, Object> all) {
    /** Its values, whether they come as a list or in one text with spaces or commas between them. */
    public Set<String> values(String name) {
        return at(name, all).stream()
                .flatMap(found -> found instanceof Collection<?> several ? several.stream() : split(found))
                .map(String::valueOf)
                .map(String::strip)
                .filter(value -> !value.isEmpty())
                .collect(Collectors.toUnmodifiableSet());
    }

    /** Its text as it is; nothing where there is none, or it is blank. */
    public Optional<String> text(String name) {
        return at(name, all).map(String::valueOf).map(String::strip).filter(text -> !text.isEmpty());
    }

    private static Stream<String> split(Object text) {
        return Arrays.stream(String.valueOf(text).split("[\\s,]+"));
    }

    private static Optional<Object> at(String name, Map<?, ?> claims) {
        Optional<Object> here = Optional.ofNullable(claims.get(name));
        int dot = name.indexOf('.');
        return here.isPresent() || dot < 0
                ? here
                : Optional.ofNullable(claims.get(name.substring(0, dot)))
                        .filter(Map.class::isInstance)
                        .flatMap(inner -> at(name.substring(dot + 1), (Map<?, ?>) inner));
    }
}
