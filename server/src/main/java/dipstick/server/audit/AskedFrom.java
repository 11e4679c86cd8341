package dipstick.server.audit;

import dipstick.core.text.Fingerprint;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * Where something was asked for; both empty for what Dipstick does by itself.
 *
 * @param session by which several acts of one sign-in, or with one token, are told; nobody can get in with it
 */
record AskedFrom(String address, String session) {
    private static final int SHOWN = 10;

    static AskedFrom here() {
        if (!(RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes asked)) {
            return new AskedFrom("", "");
        }
        Object token = asked.getRequest().getAttribute(AuditLog.BY_TOKEN);
        if (token != null) {
            return new AskedFrom(asked.getRequest().getRemoteAddr(), "token " + shortened(token.toString()));
        }
        var session = asked.getRequest().getSession(false);
        return new AskedFrom(
                asked.getRequest().getRemoteAddr(), session == null ? "" : shortened(Fingerprint.of(session.getId())));
    }

    private static String shortened(String id) {
        return id.substring(0, SHOWN);
    }
}
