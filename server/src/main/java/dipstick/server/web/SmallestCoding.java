package dipstick.server.web;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Collections;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpHeaders;
import org.springframework.web.servlet.resource.EncodedResourceResolver;
import org.springframework.web.servlet.resource.ResourceResolver;
import org.springframework.web.servlet.resource.ResourceResolverChain;

/**
 * Files as they were compressed when they were built: by Brotli where that is taken, else by gzip. One resolver for both goes by the
 * order in which they are asked for (RFC 9110, 12.5.3), and browsers name gzip first, which is larger.
 */
final class SmallestCoding implements ResourceResolver {
    private static final String BROTLI = "br";

    private final EncodedResourceResolver brotli = by(BROTLI);
    private final EncodedResourceResolver gzip = by("gzip");

    private static EncodedResourceResolver by(String coding) {
        EncodedResourceResolver resolver = new EncodedResourceResolver();
        resolver.setContentCodings(List.of(coding));
        return resolver;
    }

    @Override
    public @Nullable Resource resolveResource(
            @Nullable HttpServletRequest request,
            String path,
            List<? extends Resource> locations,
            ResourceResolverChain chain) {
        EncodedResourceResolver resolver = request != null && takesBrotli(request) ? brotli : gzip;
        return resolver.resolveResource(request, path, locations, chain);
    }

    private static boolean takesBrotli(HttpServletRequest request) {
        return Collections.list(request.getHeaders(HttpHeaders.ACCEPT_ENCODING)).stream()
                .flatMap(codings -> List.of(codings.split(",")).stream())
                .anyMatch(coding -> coding.strip().equalsIgnoreCase(BROTLI));
    }

    @Override
    public @Nullable String resolveUrlPath(
            String path, List<? extends Resource> locations, ResourceResolverChain chain) {
        return chain.resolveUrlPath(path, locations);
    }
}
