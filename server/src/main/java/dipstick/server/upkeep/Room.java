package dipstick.server.upkeep;

import dipstick.server.practice.PracticeSettings;
import java.io.IOException;
import java.nio.file.Files;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Whether there is room on the disk. A database that runs into a full disk has to be opened anew, so nothing more is
 * written before it is full; once there is room again everything goes on by itself.
 */
@Component
class Room {
    private static final Logger LOG = LoggerFactory.getLogger(Room.class);

    private final RoomSettings settings;
    private final PracticeSettings practice;

    Room(RoomSettings settings, PracticeSettings practice) {
        this.settings = settings;
        this.practice = practice;
    }

    /** Whether nothing more is to be written. */
    boolean isOver() {
        return left() < settings.least().toBytes();
    }

    /** What is to be said on every page, in a sentence; empty where there is room enough. */
    String words() {
        long left = left();
        if (left < settings.least().toBytes()) {
            return "The disk is full, so nothing can be saved until there is room again. Everything that was saved is kept and"
                    + " can be looked at.";
        }
        return left < settings.warn().toBytes()
                ? "The disk is nearly full. When it is, nothing can be saved until there is room again; tell whoever looks"
                        + " after the server."
                : "";
    }

    /** Bytes on the disk of the data folder. */
    long left() {
        try {
            return Files.getFileStore(practice.data()).getUsableSpace();
        } catch (IOException unknown) {
            LOG.warn("How much room is left cannot be told", unknown);
            return Long.MAX_VALUE;
        }
    }
}
