package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;

/**
 * "I   Tick the box.", "II  True or false?", "III Complete.", or "A  Complete.", "B  Choose." above numbers: numerals and capitals
 * without a sign that count the parts.
 */
final class UnsignedNumerals {

    private static final Count NUMERALS = new Count(
            Pattern.compile("\\s*([IVX]{1,4})(?:\\s{2,}|\\t\\s*|(?<=III|VII)\\s)(?=\\p{Lu})"),
            List.of("I", "II", "III", "IV", "V", "VI", "VII", "VIII", "IX", "X"),
            Label.Kind.ROMAN,
            false);

    private static final Count CAPITALS = new Count(
            Pattern.compile("\\s*([A-H])\\s+(?=\\p{Lu}\\p{Ll})"),
            List.of("A", "B", "C", "D", "E", "F", "G", "H"),
            Label.Kind.LETTER,
            true);

    private static final int FEWEST = 3;

    private UnsignedNumerals() {}

    /**
     * A way to count parts.
     *
     * @param printed a name at the beginning of a line
     * @param names in their order
     * @param aboveNumbers whether each must stand right above a number, for options have such names too
     */
    private record Count(Pattern printed, List<String> names, Label.Kind kind, boolean aboveNumbers) {}

    static void label(List<Cues> all) {
        label(all, NUMERALS);
        label(all, CAPITALS);
    }

    private static void label(List<Cues> all, Count count) {
        List<Integer> heads = new ArrayList<>();
        for (int i = 0; i < all.size() && heads.size() < count.names().size(); i++) {
            Matcher name = count.printed().matcher(all.get(i).text());
            boolean next = isBare(all.get(i))
                    && name.lookingAt()
                    && name.group(1).equals(count.names().get(heads.size()))
                    && (!count.aboveNumbers() || isAboveNumber(all, i));
            if (next) {
                heads.add(i);
            }
        }
        for (int i = 0; heads.size() >= FEWEST && i < heads.size(); i++) {
            Cues cues = all.get(heads.get(i));
            int from = cues.piece().segment().from();
            Matcher name = count.printed()
                    .matcher(cues.line().text())
                    .region(from, cues.piece().segment().to());
            name.lookingAt();
            all.set(
                    heads.get(i),
                    cues.withLabels(List.of(new Label(
                            count.kind(), i + 1, name.group(1), count.names().get(0), from, name.end()))));
            all.get(heads.get(i)).traits().add(Cues.Trait.SECTION_WORD);
        }
    }

    private static boolean isBare(Cues cues) {
        return cues.piece().first()
                && cues.labels().isEmpty()
                && cues.line().layout().cell().isEmpty();
    }

    private static boolean isAboveNumber(List<Cues> all, int piece) {
        return piece + 1 < all.size()
                && all.get(piece).is(Cues.Trait.ENDS_SENTENCE)
                && all.get(piece + 1).number().isPresent();
    }
}
