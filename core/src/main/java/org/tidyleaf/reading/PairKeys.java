package org.tidyleaf.reading;

import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.tidyleaf.source.Cell;

/** Keys that no word announces: "1 - C    2 - B    3 - A" below pairs, a letter in brackets far behind options. */
final class PairKeys {

    private static final Pattern KEYS = Pattern.compile(
            "(?:\\d{1,2}\\s*[-\u2013:=\u2192]?\\s*[A-Za-z]\\b[\\s,;.]*){2,60}|(?:[A-Za-z]\\s*[-\u2013:=\u2192]?\\s*\\d{1,2}\\b[\\s,;.]*){2,60}");

    /** "a) wasps   b) bees        (b)", or a box with the number of the right one. */
    private static final Pattern BEHIND = Pattern.compile("[(\\[][A-Ha-h][)\\]]|\\[\\s+\\d\\s+]");

    /** "5. ANS: C   6. ANS: D". */
    private static final Pattern WORDED = Vocabulary.pattern(
            "(?:\\d{1,2}\\s*[.):]?\\s*" + Vocabulary.ALL.either("answer") + "\\s*[:=]\\s*[A-Za-z]\\b[\\s,;.]*){2,40}");

    private PairKeys() {}

    /** "… ______ cm        (250)", "Name two.      [wax, honey]": cut off by itself, in brackets. */
    private static boolean isBehindGap(Cues before, Cues cues) {
        boolean whole = before.is(Cues.Trait.ENDS_SENTENCE) && cues.text().startsWith("[");
        return before.line().number() == cues.line().number()
                && cues.lead().isEmpty()
                && !cues.is(Cues.Trait.POINTS_ONLY)
                && (before.is(Cues.Trait.GAP) || whole)
                && cues.text().strip().matches("[(\\[][^()\\[\\]]{1,44}[)\\]]");
    }

    /** "[ B ]" in the cell behind that of the options. */
    private static boolean isInCell(Cues before, Cues cues) {
        Optional<Cell> cell = cues.line().layout().cell();
        Optional<Cell> above = before.line().layout().cell();
        return cell.isPresent()
                && above.isPresent()
                && above.get().row() == cell.get().row()
                && above.get().column() < cell.get().column()
                && before.labels().stream().anyMatch(label -> label.kind() == Label.Kind.LETTER)
                && cues.text().matches("[(\\[]\\s*[A-Ha-h]\\s*[)\\]]");
    }

    static boolean isKey(String text) {
        return KEYS.matcher(text).matches() || isWorded(text);
    }

    /** Whether each of several answers has its number and the word for it before it. */
    static boolean isWorded(String text) {
        return (text.indexOf(':') > 0 || text.indexOf('=') > 0)
                && WORDED.matcher(text.strip()).matches();
    }

    static void mark(List<Cues> all) {
        for (int i = 1; i < all.size(); i++) {
            Cues cues = all.get(i);
            boolean keyBehind = isInCell(all.get(i - 1), cues)
                    || !cues.piece().first()
                            && (BEHIND.matcher(cues.text()).matches() || isBehindGap(all.get(i - 1), cues))
                            && cues.piece().segment().to() == cues.line().text().length();
            if (keyBehind) {
                int at = cues.piece().segment().from();
                all.set(i, cues.withLabels(List.of()).withLead(new Cues.Lead(Cues.Announces.KEY, at)));
                continue;
            }
            if (cues.lead().isEmpty()
                    && cues.piece().first()
                    && isKey(cues.text())
                    && isKey(cues.line().text().strip())) {
                all.set(
                        i,
                        cues.withLabels(List.of())
                                .withLead(new Cues.Lead(
                                        Cues.Announces.KEY,
                                        cues.piece().segment().from())));
            }
        }
    }
}
