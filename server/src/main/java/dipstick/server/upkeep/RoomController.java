package dipstick.server.upkeep;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Whether there is room to save anything. */
@RestController
class RoomController {
    private final Room room;

    RoomController(Room room) {
        this.room = room;
    }

    /** @param words what every page says; empty where there is room enough */
    record RoomLeft(String words) {}

    @GetMapping("/api/room")
    RoomLeft room() {
        return new RoomLeft(room.words());
    }
}
