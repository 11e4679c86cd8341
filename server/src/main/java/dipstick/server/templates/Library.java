package dipstick.server.templates;

import dipstick.core.templates.InvalidTemplate;
import dipstick.core.templates.Template;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** The templates that come with the product. */
@Component
class Library {
    private static final List<String> IDS = List.of(
            "asthma-review",
            "blood-pressure-again",
            "bone-density",
            "foot-check",
            "frequent-unplanned-visits",
            "hearing-check",
            "kidney-function",
            "lithium-monitoring",
            "not-seen",
            "pneumonia-vaccination",
            "shingles-vaccination");

    private final Map<String, Template> templates = new LinkedHashMap<>();

    Library() {
        IDS.forEach(id -> templates.put(id, read(id)));
    }

    private static Template read(String id) {
        try {
            String text = new ClassPathResource("templates/" + id + ".json").getContentAsString(StandardCharsets.UTF_8);
            return Template.read(JsonMapper.shared().readTree(text));
        } catch (IOException | InvalidTemplate broken) {
            throw new IllegalStateException(
                    "The template " + id + " that comes with the product cannot be read", broken);
        }
    }

    /** By id, in the order of their names. */
    Map<String, Template> all() {
        return templates;
    }

    Optional<Template> find(String id) {
        return Optional.ofNullable(templates.get(id));
    }
}
