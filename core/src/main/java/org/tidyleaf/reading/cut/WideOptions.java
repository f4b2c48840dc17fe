package org.tidyleaf.reading.cut;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.line.ListedOptions;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Piece;
import org.tidyleaf.reading.wording.GapSigns;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.reading.wording.Words;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/** "Which is no unit of length? Ring one." and right below it "metre      litre      inch": options far apart on one line. */
public final class WideOptions {

    private static final String WORD = "(?:[^\\s_.?!:;,\u2026()]|(?<=\\d)[.,](?=\\d))+";
    private static final String OPTION = WORD + "(?:\\s" + WORD + "){0,2}";
    private static final Pattern LINE = Pattern.compile(OPTION + "(?:(?:\\s{3,}|\\s?\\t\\s?)" + OPTION + "){2,5}");
    private static final Pattern BETWEEN = Pattern.compile("\\s{3,}|\\s?\\t\\s?");
    /** "Write these in order, smallest first." */
    private static final Pattern ORDER = Vocabulary.pattern("\\b" + Vocabulary.ALL.either("order") + "\\b");

    private static final Pattern LABELLED =
            // "45 cm   0.4 m" has no labels, "1 wax   2 honey" has.
            Pattern.compile(
                    "[(\\[]?(?:[A-Za-z]|\\d{1,3}(?=[.):\\]]))[.):\\]]?\\s.*|1\\s.*\\s2\\s.*|[*\u2022\u00b7\u2013-]\\s.*|\\*?[\u2022"
                            + LabelFinder.BOXES + "].*");

    private final Set<Integer> lines = new HashSet<>();

    WideOptions(Source source) {
        for (int i = 1; i < source.lines().size(); i++) {
            Line line = source.lines().get(i);
            boolean gapBelow = i + 1 < source.lines().size()
                    && GapSigns.count(source.lines().get(i + 1).text()) > 0
                    && source.lines().get(i + 1).text().chars().anyMatch(Character::isLetter);
            if (isRow(line) && !gapBelow && asksToPick(source.lines().get(i - 1))) {
                lines.add(line.number());
            }
        }
    }

    private static boolean isRow(Line line) {
        String text = line.text().strip();
        return line.layout().cell().isEmpty()
                && line.labelEnd() == 0
                && (text.indexOf('\t') > 0 || text.contains("   "))
                && LINE.matcher(text).matches()
                && !LABELLED.matcher(text).matches();
    }

    /** Asked in the line above, with a question of its own; "Choose from these words." asks nothing. */
    private static boolean asksToPick(Line above) {
        Words words = Words.of(above.text());
        return above.text().indexOf('?') > 0 && Vocabulary.ALL.mentions(words, "pick", "mark_words")
                || Vocabulary.ALL.mentions(words, "order")
                        && ORDER.matcher(above.text()).find();
    }

    /** One piece for each option, without the blanks between; empty where the line is no such row. */
    List<Piece> pieces(Line line) {
        return lines.contains(line.number()) ? ListedOptions.cut(line, 0, BETWEEN) : List.of();
    }

    /** Empty labels that say the place of each option in its line. */
    public static void label(List<Cues> all) {
        for (int i = 1; i < all.size(); i++) {
            Cues cues = all.get(i);
            boolean begins = cues.piece().first()
                    && isRow(cues.line())
                    && cues.piece().segment().to() < cues.line().text().length()
                    && asksToPick(all.get(i - 1).line());
            for (int at = i; begins && at < all.size() && all.get(at).line() == cues.line(); at++) {
                Segment here = all.get(at).piece().segment();
                Label label =
                        new Label(Label.Kind.LETTER, at - i + 1, "", ListedOptions.SHAPE, here.from(), here.from());
                all.set(at, all.get(at).withLabels(List.of(label)));
            }
        }
    }
}
