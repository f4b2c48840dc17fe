package org.tidyleaf.reading.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.source.Cell;

/** Lines, or rows of a table, that letter on from the first, "A. …", "B. …": people, sentences or answers to choose from. */
public final class LetteredLists {

    private static final Pattern ENTRY =
            Pattern.compile("[(\\[]?([A-L]|[a-h](?=[.)\\]])|i{1,3}|iv|vi{0,3}|ix|x)[.:)\\]]?(?:\\t|\\s+)(\\S.{0,90})");

    private static final Pattern LETTER_CELL = Pattern.compile("([A-La-h])[.:)]?");

    private static final List<String> NUMERALS = List.of("i", "ii", "iii", "iv", "v", "vi", "vii", "viii", "ix", "x");

    private static final int FEWEST = 3;

    private LetteredLists() {}

    /** The letter or numeral of an entry of a list and the place where its text begins; empty where the line is none. */
    public static Optional<Label> entry(Cues cues) {
        Matcher matcher = ENTRY.matcher(cues.line().text())
                .region(cues.piece().segment().from(), cues.piece().segment().to());
        if (!matcher.matches()) {
            return Optional.empty();
        }
        String printed = matcher.group(1);
        boolean numeral = NUMERALS.contains(printed);
        int ordinal = numeral ? NUMERALS.indexOf(printed) + 1 : Character.toUpperCase(printed.charAt(0)) - 'A' + 1;
        Label.Kind kind = numeral ? Label.Kind.ROMAN : Label.Kind.LETTER;
        return Optional.of(new Label(kind, ordinal, printed, kind.name(), matcher.start(), matcher.start(2)));
    }

    /** The letter that stands alone in the first of two cells; empty where the line is none. */
    private static Optional<Label> letterCell(Cues cues) {
        Matcher matcher = LETTER_CELL.matcher(cues.text());
        boolean alone = matcher.matches()
                && cues.line()
                        .layout()
                        .cell()
                        .filter(cell -> cell.columns() == 2 && cell.column() == 0)
                        .isPresent();
        return alone
                ? Optional.of(new Label(
                        Label.Kind.LETTER,
                        Character.toUpperCase(matcher.group(1).charAt(0)) - 'A' + 1,
                        matcher.group(1),
                        Label.Kind.LETTER.name(),
                        cues.piece().segment().from(),
                        cues.piece().segment().to()))
                : Optional.empty();
    }

    /** The letter or numeral of an entry, before its text or in a cell beside it. */
    public static Optional<Label> label(Cues cues) {
        Optional<Label> entry = entry(cues);
        return entry.isPresent() ? entry : letterCell(cues);
    }

    /**
     * Lines, or rows of a table, that letter on from the first; empty where they are too few.
     *
     * @param questions whether what they say may ask
     */
    public static List<Integer> list(List<Cues> all, int from, boolean questions) {
        List<Integer> list = new ArrayList<>();
        Optional<Label> first =
                entry(all.get(from)).or(() -> letterCell(all.get(from))).filter(label -> label.ordinal() == 1);
        int expected = 1;
        for (int i = from; first.isPresent() && i < all.size(); i++) {
            int ordinal = expected;
            boolean besideLetter = i > from && isBesideLetter(all.get(i - 1), all.get(i));
            Optional<Label> next = (besideLetter ? Optional.<Label>empty() : label(all.get(i)))
                    .filter(label -> label.ordinal() == ordinal
                            && label.kind() == first.get().kind());
            if (next.isEmpty() && !besideLetter
                    || !questions && all.get(i).is(Trait.QUESTION_MARK)
                    || all.get(i).is(Trait.GAP)) {
                break;
            }
            expected += next.isPresent() ? 1 : 0;
            list.add(i);
        }
        return expected > FEWEST ? list : List.of();
    }

    /** What stands in the second cell, beside a letter alone in the first, or below that in the same cell. */
    private static boolean isBesideLetter(Cues above, Cues cues) {
        Optional<Cell> cell = cues.line().layout().cell().filter(own -> own.columns() == 2 && own.column() == 1);
        return cell.isPresent()
                && (letterCell(above).isPresent()
                        || above.line().layout().cell().equals(cell));
    }
}
