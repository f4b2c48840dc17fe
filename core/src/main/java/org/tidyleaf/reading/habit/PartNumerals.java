package org.tidyleaf.reading.habit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.tidyleaf.reading.block.SubParts;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;

/**
 * "(b) The scale reads 0.1 mm too high. (i) Calculate … (ii) Suggest …": numerals below a lettered part that is a sentence by
 * itself. Each of them is a question; below half a sentence they go on with it ({@link SubParts}).
 */
final class PartNumerals {

    private static final Pattern SENTENCE = Pattern.compile(".*[.?!:][\"'\u201d\u2019)]?\\s*");
    private static final Pattern BEGINS_ANEW =
            Pattern.compile("[(\\[]?[ivx]{1,4}[).\\]]\\s*[\\p{Lu}\u00bf\u00a1\\d\ufffc].*");

    private PartNumerals() {}

    /**
     * The pieces that such numerals begin, two at least.
     *
     * @param part the piece of the letter
     * @param end the piece behind all that belongs to it
     */
    static List<Integer> find(List<Cues> all, int part, int end) {
        List<Integer> numerals = new ArrayList<>();
        for (int i = part + 1; i < end; i++) {
            int expected = numerals.size() + 1;
            Optional<Label> numeral = numeral(all.get(i)).filter(label -> label.ordinal() == expected);
            if (numeral.isPresent()
                    && BEGINS_ANEW.matcher(all.get(i).text().strip()).matches()) {
                numerals.add(i);
            }
        }
        boolean several = numerals.size() > 1;
        return several && isSentence(all, part, numerals.get(0)) ? numerals : List.of();
    }

    static Optional<Label> numeral(Cues cues) {
        return cues.labels().stream()
                .filter(label -> label.kind() == Label.Kind.ROMAN)
                .findFirst();
    }

    /** What stands between the letter and the first numeral, if anything does. */
    private static boolean isSentence(List<Cues> all, int part, int first) {
        Cues letter = all.get(part);
        int from = letter.labels().stream()
                .filter(label -> label.kind() == Label.Kind.LETTER)
                .mapToInt(Label::end)
                .findFirst()
                .orElse(0);
        String behind = letter.line()
                .text()
                .substring(from, letter.piece().segment().to())
                .strip();
        return behind.isEmpty()
                || all.subList(part, first).stream()
                        .anyMatch(cues -> SENTENCE.matcher(cues.text()).matches());
    }
}
