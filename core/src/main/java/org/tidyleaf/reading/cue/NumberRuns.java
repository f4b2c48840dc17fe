package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;

/**
 * "1 The bees is / are calm.", "2 She have / has two hives.": numbers without a full stop that count on over a few lines and
 * begin anew in each exercise, whatever else is numbered. A paper whose questions are numbered so throughout is
 * {@link BareNumbers}' concern.
 */
final class NumberRuns {

    private static final Pattern BARE = Pattern.compile("(\\d{1,3})(?:\\s+(?=[^\\s\\d.,:;)/%\u2013-])|\\s*$)");

    /** "1 What …", "2 “Now” …": what begins a sentence. */
    private static final Pattern SENTENCE = Pattern.compile("\\d{1,3}\\s+[\\p{Lu}\u00bf\u00a1\"\u201c\u2018_(].*");

    /** Between two numbers of a list stand no more lines than a sentence, its options and room to write. */
    private static final int FARTHEST = 7;

    /** So many lines one below the other that count on can't be sentences that happen to begin with a number. */
    private static final int IN_EARNEST = 3;

    private static final int LONGEST_SENTENCE = 160;

    private NumberRuns() {}

    static void label(List<Cues> all) {
        for (boolean bold : new boolean[] {true, false}) {
            List<Integer> run = new ArrayList<>();
            for (int i = 0; i < all.size(); i++) {
                boolean free = all.get(i).line().layout().cell().isEmpty() || WordsInCapitals.isBeside(all, i);
                boolean lone = all.get(i).text().length() <= 3 && !isOverFirstPart(all, i);
                int number = free && !lone && all.get(i).is(Trait.BOLD) == bold ? number(all.get(i)) : 0;
                if (number == 0) {
                    continue;
                }
                boolean next = !run.isEmpty()
                        && number == number(all.get(run.get(run.size() - 1))) + 1
                        && (bold || lines(all, run.get(run.size() - 1), i) <= FARTHEST);
                if (!next) {
                    accept(all, run);
                    run.clear();
                }
                run.add(i);
            }
            accept(all, run);
        }
    }

    /** The number without a sign that a line of text begins with, or 0. */
    private static int number(Cues cues) {
        boolean possible = !cues.text().isEmpty()
                && Character.isDigit(cues.text().charAt(0))
                && !cues.is(Trait.OFF_BODY)
                && !cues.is(Trait.CODE)
                && !cues.is(Trait.HEADING)
                && !cues.is(Trait.POINTS_ONLY)
                && cues.lead().isEmpty()
                && cues.labels().stream().noneMatch(label -> label.kind() == Label.Kind.NUMBER);
        Matcher bare = BARE.matcher(possible ? cues.text() : "");
        return bare.lookingAt() ? Integer.parseInt(bare.group(1)) : 0;
    }

    /** How many lines stand from one number to the next, room to write left out. */
    private static int lines(List<Cues> all, int from, int to) {
        return (int) all.subList(from, to).stream()
                .filter(cues -> !cues.is(Trait.WRITING_LINE) && !cues.is(Trait.POINTS_ONLY) && !cues.is(Trait.RULE))
                .count();
    }

    private static void accept(List<Cues> all, List<Integer> run) {
        if (run.isEmpty() || !isList(all, run) || isWithinQuestion(all, run.get(0))) {
            return;
        }
        for (int piece : run) {
            Cues cues = all.get(piece);
            int from = cues.line()
                    .text()
                    .indexOf(cues.text(), cues.piece().segment().from());
            Matcher bare = BARE.matcher(cues.line().text())
                    .region(from, cues.line().text().length());
            if (bare.lookingAt()) {
                List<Label> labels = new ArrayList<>(cues.labels());
                int ordinal = Integer.parseInt(bare.group(1));
                labels.add(new Label(Label.Kind.NUMBER, ordinal, bare.group(1), "9", from, bare.end()));
                all.set(piece, cues.withLabels(labels));
            }
        }
    }

    private static boolean isList(List<Cues> all, List<Integer> run) {
        int first = number(all.get(run.get(0)));
        long asking = run.stream().filter(piece -> asks(all.get(piece))).count();
        boolean close = run.get(run.size() - 1) - run.get(0) < run.size() * 2;
        long paragraphs =
                run.stream().filter(piece -> isParagraph(all.get(piece))).count();
        if (paragraphs * 2 >= run.size()) {
            return false;
        }
        if (run.size() >= IN_EARNEST) {
            return asking * 2 > run.size() || close && first == 1 || close && isAnnounced(all, run);
        }
        return run.size() > 1 && first == 1 && asking == run.size();
    }

    /** Numbered paragraphs of a text to read. */
    private static boolean isParagraph(Cues cues) {
        return cues.text().length() > LONGEST_SENTENCE && !cues.is(Trait.GAP) && !cues.is(Trait.QUESTION_MARK);
    }

    private static boolean asks(Cues cues) {
        return cues.text().length() <= 3
                || SENTENCE.matcher(cues.text()).matches()
                || cues.is(Trait.GAP)
                || cues.is(Trait.QUESTION_MARK)
                || cues.text().contains(" / ");
    }

    /** "1 (a) What …": the number alone, and behind it on the same line the first part. */
    private static boolean isOverFirstPart(List<Cues> all, int piece) {
        return piece + 1 < all.size()
                && !all.get(piece + 1).piece().first()
                && all.get(piece + 1).labels().stream()
                        .anyMatch(label -> label.kind() == Label.Kind.LETTER && label.ordinal() == 1);
    }

    /** "For questions 14–17, choose …" somewhere above. */
    private static boolean isAnnounced(List<Cues> all, List<Integer> run) {
        int first = number(all.get(run.get(0)));
        int last = number(all.get(run.get(run.size() - 1)));
        Pattern range = Pattern.compile("(?<!\\d)" + first + "\\s*[-\u2013\u2014]\\s*" + last + "(?!\\d)");
        return all.subList(0, run.get(0)).stream()
                .anyMatch(cues -> range.matcher(cues.text()).find());
    }

    /** Right below a question with a number of its own, in ordinary type, they count statements of its. */
    private static boolean isWithinQuestion(List<Cues> all, int first) {
        for (int i = first - 1; i >= 0 && first - i <= 2; i--) {
            Optional<Label> number = all.get(i).labels().stream()
                    .filter(label -> label.kind() == Label.Kind.NUMBER)
                    .findFirst();
            if (number.isPresent() && Label.isWorded(number.get().shape())) {
                return false;
            }
            if (number.isPresent()) {
                return !all.get(i).is(Trait.BOLD) && !all.get(i).is(Trait.HEADING);
            }
        }
        return false;
    }
}
