package dipstick.intake.messages;

import ca.uhn.hl7v2.DefaultHapiContext;
import ca.uhn.hl7v2.HL7Exception;
import ca.uhn.hl7v2.HapiContext;
import ca.uhn.hl7v2.model.GenericMessage;
import ca.uhn.hl7v2.model.GenericSegment;
import ca.uhn.hl7v2.parser.EncodingCharacters;
import ca.uhn.hl7v2.parser.GenericModelClassFactory;
import ca.uhn.hl7v2.parser.PipeParser;
import ca.uhn.hl7v2.validation.impl.ValidationContextFactory;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A message as its segments in their order, whatever its version says of their groups.
 *
 * @param type such as {@code ORU^R01}
 */
record Message(String type, Segment header, List<Segment> segments) {
    private static final HapiContext CONTEXT = context();

    private static final PipeParser PARSER = CONTEXT.getPipeParser();

    Message {
        segments = List.copyOf(segments);
    }

    private static HapiContext context() {
        HapiContext context = new DefaultHapiContext(new GenericModelClassFactory());
        context.setValidationContext(ValidationContextFactory.noValidation());
        return context;
    }

    /** @throws HL7Exception where its header does not say its separators, or a segment is none */
    static Message of(MessageTexts.Text text) throws HL7Exception {
        String first = text.lines().getFirst().text();
        if (!first.startsWith("MSH") || first.length() < 9) {
            throw new HL7Exception("It does not begin with a header");
        }
        EncodingCharacters separators = separators(first);
        GenericMessage message = new GenericMessage.V251(CONTEXT.getModelClassFactory());
        List<Segment> segments = new ArrayList<>();
        for (MessageTexts.Line line : text.lines()) {
            String name = line.text().split("[^A-Za-z0-9]", 2)[0];
            if (name.length() != 3) {
                throw new HL7Exception("It has a line that is no segment");
            }
            GenericSegment parsed = new GenericSegment(message, name);
            PARSER.parse(parsed, line.text(), separators);
            segments.add(new Segment(name, line.line(), parsed));
        }
        Segment header = segments.getFirst();
        String trigger = header.get(9, 2).isEmpty()
                ? segments.stream()
                        .filter(segment -> segment.name().equals("EVN"))
                        .findFirst()
                        .map(event -> event.get(1))
                        .orElse("")
                : header.get(9, 2);
        return new Message(header.get(9, 1) + "^" + trigger, header, segments);
    }

    /** As its header names them: the field's, then component, repetition, escape and part. */
    private static EncodingCharacters separators(String header) throws HL7Exception {
        char field = header.charAt(3);
        int end = header.indexOf(field, 4);
        String others = header.substring(4, end < 0 ? header.length() : end);
        boolean distinct = (field + others).chars().distinct().count() == others.length() + 1L;
        if (others.length() < 2
                || others.length() > 5
                || !distinct
                || others.chars().anyMatch(Character::isLetterOrDigit)) {
            throw new HL7Exception("Its header does not say by what its parts are separated");
        }
        String usual = others + "^~\\&".substring(Math.min(4, others.length()));
        return new EncodingCharacters(field, usual.substring(0, 4));
    }

    Optional<Segment> first(String name) {
        return segments.stream().filter(segment -> segment.name().equals(name)).findFirst();
    }
}
