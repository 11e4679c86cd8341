package dipstick.server.deliveries;

import dipstick.core.text.Shortened;
import dipstick.intake.messages.Acknowledgement;
import dipstick.server.practice.Today;
import jakarta.annotation.PostConstruct;
import jakarta.annotation.PreDestroy;
import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Takes HL7 v2 messages over MLLP (HL7 v2.5.1 appendix C) where a port is set. Each is answered only when it is kept: AA, or AE
 * with the reason. A sender who goes without waiting for that loses nothing that was kept.
 */
@Component
class MessagePort {
    private static final Logger LOG = LoggerFactory.getLogger(MessagePort.class);

    private static final int BEGIN = 0x0B;
    private static final int END = 0x1C;
    private static final int LONGEST_MESSAGE = 10_000_000;
    private static final int MOST_SENDERS = 50;
    private static final int LONGEST_NAME = 100;
    private static final Duration LONGEST_SILENCE = Duration.ofMinutes(10);

    private static final Charset SINGLE_BYTE = Charset.forName("windows-1252");

    /** Table 0211. */
    private static final Map<String, Charset> CHARSETS = Map.of(
            "8859/1", StandardCharsets.ISO_8859_1,
            "8859/15", Charset.forName("ISO-8859-15"),
            "UNICODE", StandardCharsets.UTF_16,
            "UNICODE UTF-16", StandardCharsets.UTF_16);

    private final MessageTaking taking;
    private final MessagePortSettings settings;
    private final Today today;
    private final Set<Socket> senders = ConcurrentHashMap.newKeySet();
    private volatile Optional<ServerSocket> listening = Optional.empty();

    MessagePort(MessageTaking taking, MessagePortSettings settings, Today today) {
        this.taking = taking;
        this.settings = settings;
        this.today = today;
    }

    /** Where it listens; 0 where it does not. */
    int port() {
        return listening.map(ServerSocket::getLocalPort).orElse(0);
    }

    @PostConstruct
    void start() throws IOException {
        if (settings.port() != 0) {
            // Below nought it takes whichever is free.
            ServerSocket socket = new ServerSocket(
                    Math.max(0, settings.port()), MOST_SENDERS, InetAddress.getByName(settings.address()));
            listening = Optional.of(socket);
            Thread.ofVirtual().name("messages").start(() -> listen(socket));
            LOG.info("Messages are taken on port {}", socket.getLocalPort());
        }
    }

    @PreDestroy
    void stop() throws IOException {
        if (listening.isPresent()) {
            listening.get().close();
        }
        for (Socket sender : senders) {
            sender.close();
        }
    }

    private void listen(ServerSocket socket) {
        while (!socket.isClosed()) {
            try {
                Socket sender = socket.accept();
                if (senders.size() >= MOST_SENDERS) {
                    sender.close();
                } else {
                    senders.add(sender);
                    Thread.ofVirtual().name("messages of a sender").start(() -> hear(sender));
                }
            } catch (IOException closed) {
                LOG.debug("Nobody is listened to any more", closed);
            }
        }
    }

    private void hear(Socket sender) {
        try (sender) {
            sender.setSoTimeout(Math.toIntExact(LONGEST_SILENCE.toMillis()));
            InputStream in = new BufferedInputStream(sender.getInputStream());
            for (Optional<byte[]> message = next(in); message.isPresent(); message = next(in)) {
                answer(sender, message.get());
            }
        } catch (IOException gone) {
            LOG.debug("A sender of messages went", gone);
        } finally {
            senders.remove(sender);
        }
    }

    private void answer(Socket sender, byte[] bytes) throws IOException {
        Charset charset = charset(bytes);
        String message = new String(bytes, charset);
        Acknowledgement.About about = Acknowledgement.about(message);
        Optional<String> refused =
                taking.take(message, upTo("message " + about.type() + " " + about.controlId()), upTo(about.from()));
        String answer = Acknowledgement.of(message, refused, LocalDateTime.ofInstant(today.now(), today.zone()));
        ByteArrayOutputStream framed = new ByteArrayOutputStream();
        framed.write(BEGIN);
        framed.write(answer.getBytes(charset));
        framed.write(END);
        framed.write('\r');
        sender.getOutputStream().write(framed.toByteArray());
        sender.getOutputStream().flush();
    }

    /** As its header says, else UTF-8 where it can be that. */
    private static Charset charset(byte[] bytes) {
        String said = Acknowledgement.about(new String(bytes, StandardCharsets.ISO_8859_1))
                .charset();
        return CHARSETS.getOrDefault(said, isUtf8(bytes) ? StandardCharsets.UTF_8 : SINGLE_BYTE);
    }

    private static boolean isUtf8(byte[] bytes) {
        try {
            StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes));
            return true;
        } catch (CharacterCodingException other) {
            return false;
        }
    }

    private static String upTo(String text) {
        return Shortened.to(LONGEST_NAME, text);
    }

    /** What stands between the marks; nothing at the end. What stands outside of them is none of a message. */
    private static Optional<byte[]> next(InputStream in) throws IOException {
        int read = in.read();
        while (read >= 0 && read != BEGIN) {
            read = in.read();
        }
        ByteArrayOutputStream message = new ByteArrayOutputStream();
        for (read = in.read(); read >= 0 && read != END; read = in.read()) {
            if (message.size() == LONGEST_MESSAGE) {
                throw new IOException("A message is never as long as this");
            }
            message.write(read);
        }
        return read < 0 ? Optional.empty() : Optional.of(message.toByteArray());
    }
}
