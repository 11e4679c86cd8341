package dipstick.server.deliveries;

import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * The port on which messages are taken (MLLP).
 *
 * @param port 0 where none are
 * @param address on which it listens
 * @param intake the id of the intake by which they are read; empty for the one of messages that was kept last
 */
@ConfigurationProperties("dipstick.messages")
record MessagePortSettings(int port, String address, String intake) {}
