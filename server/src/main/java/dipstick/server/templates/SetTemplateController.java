package dipstick.server.templates;

import dipstick.core.templates.Ask;
import dipstick.core.templates.InvalidTemplate;
import dipstick.core.templates.Template;
import dipstick.core.templates.TemplateMaker;
import dipstick.server.records.Views;
import dipstick.server.web.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Templates: what they leave open is asked, with what is on record to choose from; nothing is saved by that. */
@RestController
@RequestMapping("/api/templates")
class SetTemplateController {
    private static final int MOST_ASKS = 200;
    private static final int MOST_ANSWERS = 1000;

    private final Library library;
    private final Views views;

    SetTemplateController(Library library, Views views) {
        this.library = library;
        this.views = views;
    }

    record InLibrary(String id, String name, String about) {}

    /** @param id of one of the library, {@code file} one that was opened; one of the two is there */
    record Chosen(Optional<@Size(max = 100) String> id, Optional<JsonNode> file) {
        Chosen {
            // What is absent is read as a null of JSON.
            file = file.filter(JsonNode::isObject);
        }
    }

    /** @param choices the most frequent first; none where nothing on record may be meant */
    record LeftOpen(String question, List<Offered.MayBeMeant> choices) {}

    record OpenedTemplate(String name, String about, List<LeftOpen> questions) {}

    /** @param answers to each question, in their order, as the choices gave them */
    record Filling(
            @NotNull @Valid Chosen template,
            @NotNull @Size(max = MOST_ASKS) List<@Size(max = MOST_ANSWERS) List<JsonNode>> answers) {}

    record Filled(ObjectNode document) {}

    /** @param template as a file */
    record MadeTemplate(ObjectNode template) {}

    record ToOpen(@NotNull ObjectNode document) {}

    @GetMapping
    List<InLibrary> all() {
        return library.all().entrySet().stream()
                .map(one -> new InLibrary(
                        one.getKey(), one.getValue().name(), one.getValue().about()))
                .toList();
    }

    @PostMapping("/opened")
    OpenedTemplate open(@Valid @RequestBody Chosen chosen) {
        Template template = template(chosen);
        Offered offered = new Offered(views.current().population(), template);
        return new OpenedTemplate(
                template.name(),
                template.about(),
                template.asks().stream()
                        .map((Ask ask) -> new LeftOpen(ask.question(), offered.of(ask)))
                        .toList());
    }

    /** The criteria set with what was answered; what was not stays open, and is said on the bench. */
    @PostMapping("/filled")
    Filled fill(@Valid @RequestBody Filling filling) {
        return new Filled(template(filling.template()).filled(filling.answers()));
    }

    /** A set as a template for others. */
    @PostMapping("/made")
    MadeTemplate make(@Valid @RequestBody ToOpen set) {
        return new MadeTemplate(TemplateMaker.of(set.document()).json());
    }

    private Template template(Chosen chosen) {
        if (chosen.file().isPresent()) {
            try {
                Template template = Template.read(chosen.file().get());
                requireFew(template);
                return template;
            } catch (InvalidTemplate invalid) {
                throw Problems.refused(
                        HttpStatus.UNPROCESSABLE_CONTENT, "no-template", invalid.why() + " Nothing was changed.");
            }
        }
        return chosen.id()
                .flatMap(library::find)
                .orElseThrow(() -> Problems.refused(
                        HttpStatus.NOT_FOUND, "no-such-template", "There is no template of this name here."));
    }

    private static void requireFew(Template template) {
        if (template.asks().size() > MOST_ASKS) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "too-much-open",
                    "This template leaves more than " + MOST_ASKS + " things open. Nothing was changed.");
        }
    }
}
