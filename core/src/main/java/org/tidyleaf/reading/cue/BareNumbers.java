package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.KeyHeadings;
import org.tidyleaf.reading.line.ListedOptions;
import org.tidyleaf.reading.line.WrappedWords;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.UnitSymbols;

/**
 * "1 What did the writer do?", "2 Where …": numbers without a full stop. They count where nothing else numbers the
 * questions and they run on through the document.
 */
final class BareNumbers {

    private static final Pattern BARE = Pattern.compile(
            "(\\d{1,3})(?:\\s+(?:[*]\\s?)?(?=[\\p{Lu}\u00bf\u00a1\"\u201c_(])|\\s{2,}(?=[\\p{Ll}\\d])|\\s*$)");

    private static final Pattern LOOSE = Pattern.compile("(\\d{1,3})\\s+(?=(\\p{Ll}+))");

    /** That of numbers without a sign. */
    static final String SHAPE = "9";

    /** A shorter run may be numbers of something else at the beginning of lines. */
    private static final int IN_EARNEST = 3;

    private BareNumbers() {}

    static void label(List<Cues> all) {
        boolean numbered = all.stream()
                // "[1]" at the right margin is what an answer is worth.
                .filter(cues -> !cues.is(Cues.Trait.POINTS_ONLY))
                .flatMap(cues -> cues.labels().stream())
                .anyMatch(label -> label.kind() == Label.Kind.NUMBER && label.ordinal() == 1 && !isBare(label));
        if (numbered || beginAnewBelowBold(all)) {
            return;
        }
        int answers = answers(all);
        Run asked = inEarnest(all, answers);
        Run run = asked.places().isEmpty() ? inEarnest(all, all.size()) : asked;
        for (int i = 0; i < run.places().size(); i++) {
            add(all, run.places().get(i), run.first() + i);
        }
    }

    /** Numbers that count on, from the first. */
    private record Run(int first, List<Integer> places) {}

    /** Where the answers to all questions begin, which have numbers of their own; the end where they stand elsewhere. */
    private static int answers(List<Cues> all) {
        for (int i = all.size() - 1; i > 0; i--) {
            if (KeyHeadings.isHeading(all, i)) {
                return i;
            }
        }
        return all.size();
    }

    /** The first run above a place that is long enough to be no coincidence; empty where there is none. */
    private static Run inEarnest(List<Cues> all, int end) {
        int first = 1;
        List<Integer> run = run(all, first, end);
        Set<Integer> tried = new HashSet<>(Set.of(0, first));
        for (int i = 0; i < end && !inEarnest(all, run); i++) {
            // A part of a larger paper may begin with any number.
            int number = number(all.get(i));
            if (tried.add(number)) {
                first = number;
                run = run(all, first, end);
            }
        }
        return new Run(first, inEarnest(all, run) ? run : List.of());
    }

    /** "1 Put in order." in bold, below it "1 hive / the" and "2 wears / he", and then "2 Choose." in bold: two kinds of numbers. */
    private static boolean beginAnewBelowBold(List<Cues> all) {
        int bold = 0;
        boolean within = false;
        for (Cues cues : all) {
            int number = number(cues);
            if (cues.is(Cues.Trait.BOLD) && number == bold + 1) {
                if (bold > 0 && within) {
                    return true;
                }
                bold++;
                within = false;
            }
            within |= !cues.is(Cues.Trait.BOLD) && number == 1;
        }
        return false;
    }

    private static boolean inEarnest(List<Cues> all, List<Integer> run) {
        return run.size() >= IN_EARNEST
                || run.size() > 1
                        && (haveParts(all, run)
                                || goesOnFromGaps(all, run)
                                || run.stream()
                                        .allMatch(i -> all.get(i).margin().isPresent()));
    }

    /** "(4) ____" in the text above "5 Why …" and "6 Where …". */
    private static boolean goesOnFromGaps(List<Cues> all, List<Integer> run) {
        int first = number(all.get(run.get(0)));
        return all.subList(0, run.get(0)).stream()
                .anyMatch(cues -> GappedTexts.numbers(cues).contains(first - 1));
    }

    /** "1 The diagram …" over "(a) …" and "2 A student …" over "(a) …": two will do. */
    private static boolean haveParts(List<Cues> all, List<Integer> run) {
        for (int i = 0; i < run.size(); i++) {
            int end = i + 1 < run.size() ? run.get(i + 1) : all.size();
            boolean parts = all.subList(run.get(i) + 1, end).stream()
                    .flatMap(cues -> cues.labels().stream())
                    .anyMatch(label -> label.kind() == Label.Kind.LETTER
                            && label.ordinal() == 1
                            && label.shape().equals("(a)"));
            if (!parts) {
                return false;
            }
        }
        return true;
    }

    /** The places of a number and those that follow it, in order, before the end of what is asked. */
    private static List<Integer> run(List<Cues> all, int first, int end) {
        List<Integer> run = new ArrayList<>();
        for (int i = 0; i < end; i++) {
            int next = first + run.size();
            boolean goesOn = run.size() > 1 && loose(all.get(i)) == next && !WrappedWords.isRestOfSentence(all, i);
            if (number(all.get(i)) == next || goesOn || isGap(all.get(i), next)) {
                run.add(i);
            }
        }
        return run;
    }

    /** "Name of the tool:  5 ____" between "4 …" and "6 …": a gap takes a number as well. */
    private static boolean isGap(Cues cues, int next) {
        return cues.number()
                .filter(label -> label.shape().equals(NumberedGaps.SHAPE) && label.ordinal() == next)
                .isPresent();
    }

    /** With a tab behind it such a number is known already. */
    private static boolean isBare(Label label) {
        return label.shape().equals(SHAPE);
    }

    /** The number that a line begins with, or 0. */
    static int number(Cues cues) {
        Optional<Label> known =
                cues.labels().stream().filter(BareNumbers::isBare).findFirst();
        if (known.isPresent()) {
            return known.get().ordinal();
        }
        Matcher matcher = BARE.matcher(behindMargin(cues));
        boolean possible = cues.line().layout().cell().isEmpty()
                && !cues.is(Cues.Trait.OFF_BODY)
                && cues.lead().isEmpty()
                && !NumberedRoom.isRoom(cues.text())
                && cues.labels().stream().noneMatch(label -> label.shape().equals(ListedOptions.SHAPE))
                && matcher.lookingAt();
        return possible ? Integer.parseInt(matcher.group(1)) : 0;
    }

    /** "4 plane - saw - glue": where numbers have begun to count, what they count need not begin with a capital. */
    private static int loose(Cues cues) {
        Matcher matcher = LOOSE.matcher(behindMargin(cues));
        boolean possible = cues.line().layout().cell().isEmpty()
                && cues.labels().isEmpty()
                && cues.lead().isEmpty()
                && !cues.is(Cues.Trait.OFF_BODY)
                && matcher.lookingAt()
                && !UnitSymbols.isSymbol(matcher.group(2));
        return possible ? Integer.parseInt(matcher.group(1)) : 0;
    }

    /** "[   ] 1  Which …": what stands behind the brackets to write the answer in. */
    private static String behindMargin(Cues cues) {
        return cues.margin().isEmpty()
                ? cues.text()
                : cues.line()
                        .text()
                        .substring(start(cues), cues.piece().segment().to())
                        .strip();
    }

    private static int start(Cues cues) {
        return cues.margin().map(Cues.Margin::to).orElse(cues.piece().segment().from());
    }

    /** Gives a piece the number that it begins with as its label. */
    static void add(List<Cues> all, int at, int ordinal) {
        Cues cues = all.get(at);
        int from = start(cues);
        while (Character.isWhitespace(cues.line().text().charAt(from))) {
            from++;
        }
        Matcher matcher = (BARE.matcher(behindMargin(cues)).lookingAt() ? BARE : LOOSE)
                .matcher(cues.line().text())
                .region(from, cues.piece().segment().to());
        if (matcher.lookingAt() && cues.labels().stream().noneMatch(BareNumbers::isBare)) {
            List<Label> labels = new ArrayList<>(cues.labels());
            labels.add(new Label(Label.Kind.NUMBER, ordinal, matcher.group(1), SHAPE, from, matcher.end()));
            all.set(at, cues.withLabels(labels));
        }
    }
}
