package org.tidyleaf.reading.cut;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Cell;

/** Keys that no word announces: "1 - C    2 - B    3 - A" below pairs, a letter in brackets far behind options. */
public final class PairKeys {

    private static final Pattern KEYS = Pattern.compile(
            "(?:\\d{1,2}\\s*[-\u2013:=\u2192]?\\s*[A-Za-z]\\b[\\s,;.]*){2,60}|(?:[A-Za-z]\\s*[-\u2013:=\u2192]?\\s*\\d{1,2}\\b[\\s,;.]*){2,60}");

    /** "a) wasps   b) bees        (b)", or a box with the number of the right one. */
    private static final Pattern BEHIND = Pattern.compile("[(\\[]\\s?[A-Ha-h]\\s?[)\\]]|\\[\\s+\\d\\s+]");

    /** "5. ANS: C   6. ANS: D". */
    private static final Pattern WORDED = Vocabulary.pattern(
            "(?:\\d{1,2}\\s*[.):]?\\s*" + Vocabulary.ALL.either("answer") + "\\s*[:=]\\s*[A-Za-z]\\b[\\s,;.]*){2,40}");

    /** "5. ANS: C", one below the other. */
    private static final Pattern WORDED_ONE = Vocabulary.pattern(
            "(\\d{1,2})\\s*[.):]?\\s*" + Vocabulary.ALL.either("answer") + "\\s*[:=]\\s*[A-Za-z]\\b\\W*");

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
                && before.has(Label.Kind.LETTER)
                && cues.text().matches("[(\\[]\\s*[A-Ha-h]\\s*[)\\]]");
    }

    public static boolean isKey(String text) {
        return KEYS.matcher(text).matches() || isWorded(text);
    }

    /** Whether each of several answers has its number and the word for it before it. */
    static boolean isWorded(String text) {
        return (text.indexOf(':') > 0 || text.indexOf('=') > 0)
                && WORDED.matcher(text.strip()).matches();
    }

    /** The number that the piece gives the answer to, below or above another such piece; 0 where it gives none. */
    private static int numberOfOne(List<Cues> all, int piece) {
        Cues cues = all.get(piece);
        boolean possible =
                cues.piece().first() && cues.text().indexOf(':') + cues.text().indexOf('=') > 0;
        Matcher one = WORDED_ONE.matcher(possible ? cues.text().strip() : "");
        return one.matches() ? Integer.parseInt(one.group(1)) : 0;
    }

    private static void markOnes(List<Cues> all) {
        int before = 0;
        int beforeAt = 0;
        Set<Integer> run = new TreeSet<>();
        for (int i = 1; i < all.size(); i++) {
            int number = numberOfOne(all, i);
            if (number > 1 && number == before + 1) {
                run.add(beforeAt);
                run.add(i);
            }
            beforeAt = number > 0 ? i : beforeAt;
            before = number > 0 ? number : all.get(i).piece().first() ? 0 : before;
        }
        for (int i : run) {
            // Below options they are a list of answers to several questions.
            int above = i - 1;
            while (above > 0 && (run.contains(above) || !all.get(above).piece().first())) {
                above--;
            }
            if (all.get(above).has(Label.Kind.LETTER)
                    && !all.get(above).has(Label.Kind.NUMBER)
                    && isChoice(all, above)) {
                continue;
            }
            Cues cues = all.get(i);
            int at = cues.piece().segment().from();
            all.set(i, cues.withLabels(List.of()).withLead(new Cues.Lead(Cues.Announces.KEY, at)));
        }
    }

    /** Letters that count from the first below a number, and no targets that numbers are above. */
    private static boolean isChoice(List<Cues> all, int last) {
        int first = last;
        while (first > 0 && all.get(first).has(Label.Kind.LETTER)) {
            first--;
        }
        boolean several = first > 0 && all.get(first - 1).has(Label.Kind.NUMBER);
        return all.get(first).has(Label.Kind.NUMBER) && !several;
    }

    /** Whether it is one answer alone with its number and the word for it before it. */
    public static boolean isWordedOne(String text) {
        return WORDED_ONE.matcher(text.strip()).matches();
    }

    public static void mark(List<Cues> all) {
        markOnes(all);
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
