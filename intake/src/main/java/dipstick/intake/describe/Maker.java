package dipstick.intake.describe;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What a field is made of. One of the first four says where its text comes from; the others say what becomes of it, in
 * the order in which they stand here.
 *
 * @param column a column, by name
 * @param columns several columns, those that are not blank joined
 * @param constant a text that is always the same
 * @param each of a record for each of several columns: the column's name, or what stands in its cell
 * @param joined what stands between several columns; a space where it is absent
 * @param part a part of the text
 * @param values what words of the file are here, compared as text is
 * @param others what becomes of a word that is not among them
 * @param split between several texts in a cell, where the field holds several
 * @param unreadable what becomes of a cell that is no such value; the row is left out where it is absent
 */
public record Maker(
        Optional<String> column,
        List<String> columns,
        Optional<String> constant,
        Optional<OfEach> each,
        Optional<String> joined,
        Optional<Part> part,
        Map<String, String> values,
        Others others,
        Optional<String> split,
        Optional<Unreadable> unreadable) {
    public Maker(
            Optional<String> column,
            @Nullable List<String> columns,
            Optional<String> constant,
            Optional<OfEach> each,
            Optional<String> joined,
            Optional<Part> part,
            @Nullable Map<String, String> values,
            @Nullable Others others,
            Optional<String> split,
            Optional<Unreadable> unreadable) {
        this.column = column;
        this.columns = columns == null ? List.of() : List.copyOf(columns);
        this.constant = constant;
        this.each = each;
        this.joined = joined;
        this.part = part;
        this.values = values == null ? Map.of() : Collections.unmodifiableMap(new LinkedHashMap<>(values));
        this.others = others == null ? Others.KEEP : others;
        this.split = split;
        this.unreadable = unreadable;
    }

    public static Maker ofColumn(String column) {
        return of(Optional.of(column), Optional.empty(), Optional.empty());
    }

    public static Maker ofConstant(String text) {
        return of(Optional.empty(), Optional.of(text), Optional.empty());
    }

    public static Maker ofEach(OfEach each) {
        return of(Optional.empty(), Optional.empty(), Optional.of(each));
    }

    private static Maker of(Optional<String> column, Optional<String> constant, Optional<OfEach> each) {
        return new Maker(
                column,
                List.of(),
                constant,
                each,
                Optional.empty(),
                Optional.empty(),
                Map.of(),
                Others.KEEP,
                Optional.empty(),
                Optional.empty());
    }

    public Maker part(String split, int take) {
        return new Maker(
                column,
                columns,
                constant,
                each,
                joined,
                Optional.of(new Part(split, take)),
                values,
                others,
                this.split,
                unreadable);
    }

    public Maker translated(Map<String, String> words, Others rest) {
        return new Maker(column, columns, constant, each, joined, part, words, rest, split, unreadable);
    }

    public enum OfEach {
        NAME,
        CELL
    }

    /** What becomes of a word that is not among those to be translated. */
    public enum Others {
        KEEP,
        BLANK,
        /** The row is told and left out. */
        LEAVE_OUT
    }

    /** What becomes of a cell that is no such value. */
    public enum Unreadable {
        /** The row is told and left out. */
        LEAVE_OUT,
        /** It is told and says nothing; all else of the row is kept. */
        BLANK
    }

    /** @param take the place of the part that is meant, from 1 */
    public record Part(String split, int take) {}

    /** The columns of which it is made. */
    public Stream<String> allColumns() {
        return Stream.concat(column.stream(), columns.stream());
    }
}
