package dipstick.server.web;

import java.io.IOException;
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

/** Serves the browser's pages: every address of a page is the one page, which finds its way by itself. */
@Configuration
class Pages implements WebMvcConfigurer {
    /** What is for programs; what is not there is not there. */
    private static final List<String> NO_PAGES = List.of("api/", "v3/", "actuator", "control", "calendar/");

    private static final String STATIC = "classpath:/static/";

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        // The names of assets carry a hash of what they hold.
        registry.addResourceHandler("/assets/**")
                .addResourceLocations(STATIC + "assets/")
                .setCacheControl(CacheControl.maxAge(Duration.ofDays(365)).immutable());
        registry.addResourceHandler("/**")
                .addResourceLocations(STATIC)
                .setCacheControl(CacheControl.noCache())
                .resourceChain(true)
                .addResolver(new PageResolver());
    }

    private static final class PageResolver extends PathResourceResolver {
        @Override
        protected @Nullable Resource getResource(String path, Resource location) throws IOException {
            Resource found = super.getResource(path, location);
            if (found != null && !path.isEmpty()) {
                return found;
            }
            boolean isPage = NO_PAGES.stream().noneMatch(path::startsWith) && !path.matches(".*\\.[^/]*");
            return isPage ? new ClassPathResource("static/index.html") : null;
        }
    }
}
