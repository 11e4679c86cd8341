package dipstick.server.upkeep;

import java.net.InetAddress;
import org.apache.catalina.connector.Connector;
import org.apache.coyote.AbstractProtocol;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/** A port of its own for the commands of this machine, at its loopback address, whatever the pages are served at. */
@Component
class ControlPort implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    private final Connector connector = new Connector(TomcatServletWebServerFactory.DEFAULT_PROTOCOL);

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        connector.setPort(0);
        if (connector.getProtocolHandler() instanceof AbstractProtocol<?> protocol) {
            protocol.setAddress(InetAddress.getLoopbackAddress());
        }
        factory.addAdditionalConnectors(connector);
    }

    boolean isOpen() {
        return connector.getLocalPort() > 0;
    }

    boolean is(int port) {
        return port > 0 && connector.getLocalPort() == port;
    }

    String address() {
        return "http://localhost:" + connector.getLocalPort();
    }
}
