package dipstick.server.criteria;

import dipstick.core.criteria.CriteriaSchema;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The JSON Schema of a criteria document, for editors and for programs that write documents. */
@RestController
class SchemaController {
    @GetMapping(path = "/api/criteria-schema", produces = "application/schema+json")
    String schema() {
        return CriteriaSchema.text();
    }
}
