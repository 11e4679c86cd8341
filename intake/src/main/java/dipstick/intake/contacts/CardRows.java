package dipstick.intake.contacts;

import dipstick.intake.rows.OwnColumn;
import dipstick.intake.rows.OwnRow;
import dipstick.intake.rows.Row;
import dipstick.intake.rows.Rows;
import ezvcard.VCard;
import ezvcard.io.text.VCardReader;
import ezvcard.parameter.AddressType;
import ezvcard.parameter.EmailType;
import ezvcard.parameter.TelephoneType;
import ezvcard.property.Address;
import ezvcard.property.DateOrTimeProperty;
import ezvcard.property.Email;
import ezvcard.property.StructuredName;
import ezvcard.property.Telephone;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.Charset;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.temporal.Temporal;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** vCards as rows, one for each person (RFC 6350, and the versions before it). */
public final class CardRows implements Rows {
    private static final Map<String, String> SEXES = Map.of("F", "female", "M", "male", "O", "other", "U", "unknown");

    private static final List<String> GONE_BEFORE = List.of("urn:uuid:", "urn:uid:", "uid:");

    private final VCardReader cards;
    private long place;

    private CardRows(VCardReader cards) {
        this.cards = cards;
    }

    public static CardRows open(Path file, Charset charset) throws IOException {
        return new CardRows(new VCardReader(
                new BufferedReader(new InputStreamReader(Files.newInputStream(file), charset), 1 << 16)));
    }

    @Override
    public Optional<Row> next() throws IOException {
        if (place == 0) {
            place = 1;
            return Optional.of(OwnRow.header());
        }
        Optional<VCard> card = Optional.ofNullable(cards.readNext());
        return card.map(one -> row(one).at(place++));
    }

    private static OwnRow row(VCard card) {
        OwnRow row = OwnRow.of("vCard")
                .put(OwnColumn.PERSON, "yes")
                .put(
                        OwnColumn.NUMBER,
                        card.getUid() == null ? "" : number(text(card.getUid().getValue())))
                .put(
                        OwnColumn.BIRTH_DATE,
                        card.getBirthday() == null && card.getExtendedProperty("BDAY") != null
                                ? text(card.getExtendedProperty("BDAY").getValue())
                                : day(card.getBirthday()))
                .put(OwnColumn.DECEASED_ON, day(card.getDeathdate()))
                .put(OwnColumn.PERSON_STATUS, card.getDeathdate() == null ? "" : "deceased");
        if (card.getGender() != null) {
            String said = text(card.getGender().getGender());
            row.put(OwnColumn.SEX, SEXES.getOrDefault(said.toUpperCase(Locale.ROOT), said));
        }
        name(card, row);
        card.getLanguages().stream()
                .findFirst()
                .ifPresent(language -> row.put(OwnColumn.LANGUAGE, text(language.getValue())));
        contacts(card, row);
        card.getAddresses().stream()
                .min(Comparator.comparing((Address one) -> !one.getTypes().contains(AddressType.HOME)))
                .ifPresent(address -> row.put(
                                OwnColumn.ADDRESS,
                                Stream.of(address.getStreetAddress(), address.getExtendedAddress())
                                        .map(CardRows::text)
                                        .filter(part -> !part.isEmpty())
                                        .collect(Collectors.joining(", ")))
                        .put(OwnColumn.CITY, text(address.getLocality()))
                        .put(OwnColumn.POSTCODE, text(address.getPostalCode())));
        return row;
    }

    private static String number(String uid) {
        return GONE_BEFORE.stream()
                .filter(prefix -> uid.regionMatches(true, 0, prefix, 0, prefix.length()))
                .findFirst()
                .map(prefix -> uid.substring(prefix.length()))
                .orElse(uid);
    }

    private static void name(VCard card, OwnRow row) {
        StructuredName name = card.getStructuredName();
        if (name == null) {
            row.put(
                    OwnColumn.FAMILY_NAME,
                    card.getFormattedName() == null
                            ? ""
                            : text(card.getFormattedName().getValue()));
            return;
        }
        row.put(OwnColumn.FAMILY_NAME, text(name.getFamily()))
                .put(
                        OwnColumn.GIVEN_NAME,
                        Stream.concat(Stream.of(text(name.getGiven())), name.getAdditionalNames().stream())
                                .filter(part -> !part.isBlank())
                                .collect(Collectors.joining(" ")));
    }

    private static void contacts(VCard card, OwnRow row) {
        for (Telephone telephone : card.getTelephoneNumbers()) {
            String number = telephone.getText() == null
                    ? telephone.getUri() == null ? "" : text(telephone.getUri().getNumber())
                    : text(telephone.getText());
            List<TelephoneType> types = telephone.getTypes();
            if (types.contains(TelephoneType.FAX) || types.contains(TelephoneType.PAGER)) {
                continue;
            }
            OwnColumn into = types.contains(TelephoneType.CELL) ? OwnColumn.MOBILE : OwnColumn.PHONE;
            if (row.get(into).isEmpty() || types.contains(TelephoneType.HOME)) {
                row.put(into, number);
            }
        }
        card.getEmails().stream()
                .min(Comparator.comparing((Email one) -> !one.getTypes().contains(EmailType.HOME)))
                .ifPresent(email -> row.put(OwnColumn.EMAIL, text(email.getValue())));
    }

    /** A day, a year and month, or a year; what is less, such as a birthday without its year, says nothing. */
    private static String day(@Nullable DateOrTimeProperty property) {
        if (property == null) {
            return "";
        }
        Temporal date = property.getDate();
        if (date != null) {
            return date.toString();
        }
        if (property.getPartialDate() == null || property.getPartialDate().getYear() == null) {
            return "";
        }
        Integer month = property.getPartialDate().getMonth();
        return month == null
                ? String.format(Locale.ROOT, "%04d", property.getPartialDate().getYear())
                : String.format(
                        Locale.ROOT, "%04d-%02d", property.getPartialDate().getYear(), month);
    }

    private static String text(@Nullable String text) {
        return text == null ? "" : text.strip();
    }

    @Override
    public void close() throws IOException {
        cards.close();
    }
}
