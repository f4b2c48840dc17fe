package org.tidyleaf.reading.cut;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.Alternatives;
import org.tidyleaf.reading.line.ListedOptions;
import org.tidyleaf.reading.line.PrintedPairs;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Piece;
import org.tidyleaf.reading.wording.GapSigns;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/**
 * "How many eyes has a bee?" and below it nothing but "2 / 5 / 8", again and again: options parted by strokes, or below a
 * question by dashes or dots, "two \u2013 five \u2013 eight".
 */
public final class SlashedOptions {

    private static final String OPTION = "(?:[^/|_?:\u2026]|(?<=\\S)/(?=\\S)){1,40}";
    private static final Pattern LINE = Pattern.compile(OPTION + "(?:\\s[/|]\\s" + OPTION + "){1,5}");
    private static final String SIGN = "[/|\u2013\u2014\u2022\u00b7-]";
    private static final Pattern STROKE = Pattern.compile("\\s+" + SIGN + "\\s+");
    private static final Pattern BEHIND_STROKE = Pattern.compile("(?s).*\\s" + SIGN + "\\s+");

    private static final String DASHED_OPTION = "[^\u2013\u2014\u2022\u00b7|_?:\u2026]{1,40}";
    private static final Pattern DASHED = Pattern.compile(DASHED_OPTION + "(?:\\s([\u2013\u2014\u2022\u00b7-])\\s"
            + DASHED_OPTION + ")(?:\\s\\1\\s" + DASHED_OPTION + "){1,4}");

    /** "Exercise 2 \u2013 True or false \u2013 1 point each". */
    private static final Pattern HEAD =
            Vocabulary.pattern("\\s*" + Vocabulary.ALL.either("section", "question") + "\\b");

    private static final Pattern LABELLED =
            Pattern.compile("\\s*[(\\[]?(?:\\p{L}|\\d{1,3})[.):\\]]|\\s*[*\u2022\u00b7\u2013-]\\s");

    /** Below a lettered option the options of its question are all there. */
    private static final Pattern LETTERED = Pattern.compile("\\s*[(\\[]?[A-Ha-h](?:[.):\\]]|\\s{2}|\\t)");

    private static final Pattern BANK = Vocabulary.pattern("\\b" + Vocabulary.ALL.either("bank") + "\\b");

    /** A line by itself may be a choice within a text. */
    private static final int FEWEST_LINES = 2;

    private final Set<Integer> lines = new HashSet<>();

    SlashedOptions(Source source) {
        boolean several = false;
        for (int i = 1; i < source.lines().size(); i++) {
            Line line = source.lines().get(i);
            Line above = source.lines().get(i - 1);
            boolean asked = above.text().strip().endsWith("?") || GapSigns.count(above.text()) == 1;
            boolean below = isList(line) && !LETTERED.matcher(above.text()).lookingAt();
            if ((below || asked && isDashedList(line))
                    && !isListBeyondRoom(source, i, -1)
                    && !isListBeyondRoom(source, i, 1)
                    && !isBank(source, i)) {
                lines.add(line.number());
                several |= STROKE.split(line.text()).length > 2;
            }
        }
        if (lines.size() < FEWEST_LINES || !several) {
            lines.clear();
        }
    }

    /** "the / closes / at / six", room to write, and another such line: words to put in order, with nothing asked between. */
    private static boolean isListBeyondRoom(Source source, int from, int step) {
        int at = from + step;
        while (at >= 0
                && at < source.lines().size()
                && source.lines().get(at).text().codePoints().noneMatch(Character::isLetterOrDigit)) {
            at += step;
        }
        return at >= 0 && at < source.lines().size() && isList(source.lines().get(at));
    }

    /** Words for a text with gaps: below what asks to use them, above the text. */
    private static boolean isBank(Source source, int list) {
        return list + 1 < source.lines().size()
                && GapSigns.count(source.lines().get(list + 1).text()) > 0
                && BANK.matcher(source.lines().get(list - 1).text()).find();
    }

    private static boolean isList(Line line) {
        return line.text().indexOf(" / ") > 0
                && line.layout().cell().isEmpty()
                && line.labelEnd() == 0
                && LINE.matcher(line.text().strip()).matches()
                && !LABELLED.matcher(line.text()).lookingAt()
                && !LabelsInStrokes.isLine(line.text())
                && !Alternatives.hasBrackets(line.text())
                && !PrintedPairs.endsWithPair(" " + line.text());
    }

    private static boolean isDashedList(Line line) {
        return line.layout().cell().isEmpty()
                && line.labelEnd() == 0
                && DASHED.matcher(line.text().strip()).matches()
                && !HEAD.matcher(line.text()).lookingAt()
                && !LABELLED.matcher(line.text()).lookingAt();
    }

    /** One piece for each option, without the strokes; empty where the line is no such list. */
    List<Piece> pieces(Line line) {
        return lines.contains(line.number()) ? ListedOptions.cut(line, 0, STROKE) : List.of();
    }

    /** Empty labels that say the place of each option in its line. */
    public static void label(List<Cues> all) {
        int ordinal = 0;
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            Segment here = cues.piece().segment();
            boolean begins = cues.piece().first()
                    && i + 1 < all.size()
                    && isBehindStroke(cues.line(), all.get(i + 1).piece().segment());
            boolean goesOn = ordinal > 0 && isBehindStroke(cues.line(), here);
            ordinal = begins ? 1 : goesOn ? ordinal + 1 : 0;
            if (ordinal > 0) {
                Label label = new Label(Label.Kind.LETTER, ordinal, "", ListedOptions.SHAPE, here.from(), here.from());
                all.set(i, cues.withLabels(List.of(label)));
            }
        }
    }

    private static boolean isBehindStroke(Line line, Segment segment) {
        return segment.line() == line.number()
                && segment.from() > 2
                && BEHIND_STROKE
                        .matcher(line.text().substring(0, segment.from()))
                        .matches();
    }
}
