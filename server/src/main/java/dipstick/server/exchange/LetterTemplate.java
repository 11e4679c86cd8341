package dipstick.server.exchange;

import com.samskivert.mustache.Mustache;
import com.samskivert.mustache.MustacheException;
import dipstick.server.web.Problems;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.web.ErrorResponseException;

/**
 * What is written to people in one language: text in which {@code {{field}}} stands for what is said of the person.
 *
 * @param revision by which changes that cross each other are told; 0 for a new one
 */
record LetterTemplate(String name, String language, String subject, String body, int revision) {
    /** A letter to one person. */
    record Letter(String subject, String body) {}

    /** Refused where the template names a field that is not there, or is not closed. */
    Letter filledIn(Map<String, String> fields) {
        return new Letter(filledIn(subject, fields), filledIn(body, fields));
    }

    private static String filledIn(String text, Map<String, String> fields) {
        // What is opened and not closed would be printed as it stands.
        if (text.split("\\{\\{", -1).length != text.split("}}", -1).length) {
            throw broken("a field that begins with {{ does not end with }}");
        }
        try {
            return Mustache.compiler()
                    .escapeHTML(false)
                    .withLoader(name -> {
                        throw new MustacheException("there is no other template “" + name + "” to be put into it");
                    })
                    .compile(text)
                    .execute(fields);
        } catch (MustacheException.Context unknown) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "unknown-field",
                    "There is no field “" + unknown.key + "” (line " + unknown.lineNo + "). There are "
                            + String.join(", ", fields.keySet()) + ". Nothing was written.");
        } catch (MustacheException broken) {
            throw broken(String.valueOf(broken.getMessage()));
        }
    }

    private static ErrorResponseException broken(String why) {
        return Problems.refused(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "broken-template",
                "The template cannot be read: " + why + ". Nothing was written.");
    }
}
