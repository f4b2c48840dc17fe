package org.tidyleaf.reading.block;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.BankWords;
import org.tidyleaf.reading.line.WordBanks;
import org.tidyleaf.reading.model.Blocks;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.GapSigns;

/** Blocks around texts with gaps: the words to fill them with, the gapped lines below those, and answers printed gap by gap. */
final class GapBlocks {

    /** In lines, a text whose words stand below it. */
    private static final int LONGEST_TEXT = 12;

    private static final Pattern BANK_LINE = Pattern.compile(
            "[\\[({|]?\\s*\\S+(?:\\s\\S+)?(?:(?:\\s{2,}|\\t|\\s*[,;/|\u00b7\u2022\u2013-]\\s+)\\S+(?:\\s\\S+)?){2,60}");

    private final List<Cues> all;
    private final Map<Integer, Blocks.Kind> found;

    /** @param found takes what each piece is */
    GapBlocks(List<Cues> all, Map<Integer, Blocks.Kind> found) {
        this.all = all;
        this.found = found;
    }

    void bank(int from, List<Integer> table) {
        if (table.isEmpty() && isBankBelowText(from)) {
            return;
        }
        int text = table.isEmpty() ? from + 1 : from + table.size();
        boolean line = table.isEmpty()
                && from < all.size()
                && (BANK_LINE.matcher(all.get(from).text()).matches()
                        || !WordBanks.phrases(all.get(from).text()).isEmpty());
        if (text >= all.size() || table.isEmpty() && !line || !all.get(text).is(Trait.GAP)) {
            return;
        }
        for (int i = from; i < text; i++) {
            found.put(i, Blocks.Kind.WORDS);
        }
        gapped(text);
    }

    /** Whether a text with gaps begins here and the words for them stand right below it, in a line of their own; marks both. */
    private boolean isBankBelowText(int from) {
        int end = from;
        int gaps = 0;
        while (end < all.size()
                && end - from < LONGEST_TEXT
                && all.get(end).labels().isEmpty()
                && all.get(end).line().layout().cell().isEmpty()
                && !isLineOfWords(end)) {
            gaps += GapSigns.count(all.get(end).text());
            end++;
        }
        boolean below = end > from
                && all.get(from).is(Trait.GAP)
                && gaps > 1
                && isLineOfWords(end)
                && BankWords.of(List.of(all.get(end))).size() >= gaps;
        for (int i = from; below && i < end; i++) {
            found.put(i, Blocks.Kind.GAPPED);
        }
        if (below) {
            found.put(end, Blocks.Kind.WORDS);
        }
        return below;
    }

    boolean isLineOfWords(int piece) {
        return piece < all.size()
                && all.get(piece).labels().isEmpty()
                && BankWords.isWords(all.get(piece).text());
    }

    /** A line of nothing but words, far apart, and below it lines with about as many gaps: whatever asks for it. */
    boolean isBankBelow(int lead) {
        if (lead + 2 >= all.size() || !isLineOfWords(lead + 1)) {
            return false;
        }
        int words = BankWords.of(List.of(all.get(lead + 1))).size();
        int gaps = gapsBelow(lead + 2, true);
        // Rows of words far apart are a table that is typed.
        boolean table = all.get(lead + 2).text().matches(".*\\S\\s{3,}\\S.*");
        return !table && gaps >= PairBlocks.FEWEST_PAIRS && words >= gaps && words <= gaps + PairBlocks.FEWEST_PAIRS;
    }

    /** The gaps of the lines right below that have no labels of their own, or are counted on from the first letter or number. */
    int gapsBelow(int from, boolean numbered) {
        int gaps = 0;
        for (int i = from; i < all.size() && all.get(i).is(Trait.GAP); i++) {
            int ordinal = i - from + 1;
            boolean ofGroup = all.get(i).labels().isEmpty()
                    || all.get(i).labels().stream()
                            .anyMatch(label -> label.ordinal() == ordinal
                                    && (label.kind() == Label.Kind.LETTER
                                            || numbered && label.kind() == Label.Kind.NUMBER));
            if (!ofGroup) {
                break;
            }
            gaps += GapSigns.count(all.get(i).text());
        }
        return gaps;
    }

    void gapped(int from) {
        for (int i = from;
                i < all.size()
                        && all.get(i).is(Trait.GAP)
                        && all.get(i).labels().isEmpty();
                i++) {
            found.put(i, Blocks.Kind.GAPPED);
        }
    }

    /** Below a numbered text with gaps, lines numbered from 1, as many as there are gaps: what goes into each. */
    void gapAnswers(int lead) {
        int gaps = GapSigns.count(all.get(lead).text());
        Optional<Label> number = number(lead);
        int last = lead;
        // The text may wrap: what goes on without a label is its next line.
        while (number.isPresent() && last + 1 < all.size() && wraps(last + 1)) {
            last++;
            gaps += GapSigns.count(all.get(last).text());
        }
        boolean room = gaps > 1 && number.isPresent() && last + gaps < all.size();
        for (int i = 1; room && i <= gaps; i++) {
            Cues answer = all.get(last + i);
            boolean next = number(last + i)
                    .filter(label -> !label.shape().equals(number.get().shape()))
                    .map(Label::printed)
                    .equals(Optional.of(String.valueOf(i)));
            room = next && answer.is(Trait.SHORT) && !answer.is(Trait.GAP) && !answer.is(Trait.QUESTION_MARK);
        }
        for (int i = 1; room && i <= gaps; i++) {
            found.put(last + i, Blocks.Kind.GAP_ANSWER);
        }
    }

    private boolean wraps(int piece) {
        Cues cues = all.get(piece);
        Cues above = all.get(piece - 1);
        return cues.labels().isEmpty()
                && cues.lead().isEmpty()
                && cues.spaceBefore() == 0
                && !above.is(Trait.ENDS_SENTENCE)
                && !above.is(Trait.SHORT);
    }

    private Optional<Label> number(int piece) {
        return all.get(piece).number();
    }
}
