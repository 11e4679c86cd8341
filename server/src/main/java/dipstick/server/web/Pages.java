package dipstick.server.web;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.PathResourceResolver;
import org.springframework.web.servlet.resource.ResourceTransformerChain;
import org.springframework.web.servlet.resource.TransformedResource;

/** Serves the browser's pages: every address of a page is the one page, which finds its way by itself. */
@Configuration
class Pages implements WebMvcConfigurer {
    /** What is for programs; what is not there is not there. */
    private static final List<String> NO_PAGES = List.of("api/", "v3/", "actuator", "control", "calendar/");

    private static final String STATIC = "classpath:/static/";
    private static final String INDEX = "index.html";

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        // The names of assets carry a hash of what they hold.
        registry.addResourceHandler("/assets/**")
                .addResourceLocations(STATIC + "assets/")
                .setCacheControl(CacheControl.maxAge(Duration.ofDays(365)).immutable())
                .resourceChain(true)
                .addResolver(new SmallestCoding());
        registry.addResourceHandler("/**")
                .addResourceLocations(STATIC)
                // One that is kept would have the word of another answer.
                .setCacheControl(CacheControl.noStore())
                .setUseLastModified(false)
                .resourceChain(false)
                .addResolver(new PageResolver())
                .addTransformer(Pages::withNonce);
    }

    private static Resource withNonce(HttpServletRequest request, Resource resource, ResourceTransformerChain chain)
            throws IOException {
        Resource page = chain.transform(request, resource);
        if (!INDEX.equals(page.getFilename())) {
            return page;
        }
        String html = page.getContentAsString(StandardCharsets.UTF_8).replace(PageNonce.PLACE, PageNonce.of(request));
        return new TransformedResource(page, html.getBytes(StandardCharsets.UTF_8));
    }

    private static final class PageResolver extends PathResourceResolver {
        @Override
        protected @Nullable Resource getResource(String path, Resource location) throws IOException {
            Resource found = super.getResource(path, location);
            if (found != null && !path.isEmpty()) {
                return found;
            }
            boolean isPage = NO_PAGES.stream().noneMatch(path::startsWith) && !path.matches(".*\\.[^/]*");
            return isPage ? new ClassPathResource("static/" + INDEX) : null;
        }
    }
}
