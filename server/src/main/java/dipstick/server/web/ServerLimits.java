package dipstick.server.web;

import dipstick.server.practice.PracticeSettings;
import java.time.Duration;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.RemoteIpValve;
import org.apache.coyote.AbstractProtocol;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How long and how large what comes in may be (docs/operations.md, limits), and who says so. */
@Configuration
class ServerLimits {
    /** A request whose first line or headers come no further is given up. */
    private static final Duration HALF_SENT = Duration.ofSeconds(10);

    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> limits(PracticeSettings settings) {
        return factory -> {
            if (!settings.proxies().isBlank()) {
                factory.addEngineValves(from(settings.proxies()));
            }
            factory.addContextCustomizers(context -> {
                if (context.getParent() instanceof StandardHost host) {
                    host.setErrorReportValveClass(ProblemValve.class.getName());
                }
            });
            factory.addConnectorCustomizers(connector -> {
                if (connector.getProtocolHandler() instanceof AbstractProtocol<?> protocol) {
                    protocol.setConnectionTimeout((int) HALF_SENT.toMillis());
                }
            });
        };
    }

    /** Takes who asks, and whether it was over TLS, from the proxies that are named and from nobody else. */
    private static RemoteIpValve from(String proxies) {
        RemoteIpValve valve = new RemoteIpValve();
        valve.setInternalProxies(proxies);
        valve.setRemoteIpHeader("X-Forwarded-For");
        valve.setProtocolHeader("X-Forwarded-Proto");
        valve.setHostHeader("X-Forwarded-Host");
        return valve;
    }
}
