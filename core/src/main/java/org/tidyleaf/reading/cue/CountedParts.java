package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.Directions;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.line.KeyHeadings;
import org.tidyleaf.reading.line.LabelFinder;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Seen;

/**
 * "1 A colony has swarmed." over "(a) Explain … [2]" and "(b) Describe … [3]", "2 (i) …" over "(ii) …": what is counted anew below
 * each number of an examination and asks by itself are parts of its questions, however both are counted.
 */
final class CountedParts {

    private static final Pattern POINTS = Pattern.compile("[(\\[]\\d{1,2}[)\\]]");

    private static final Pattern PART_OF_NUMBER = Pattern.compile("(\\d{1,2})(?:([a-h])|\\.(\\d{1,2}))");

    /** So many numbers that count on are no coincidence where one of them has parts. */
    private static final int SEVERAL = 3;

    private CountedParts() {}

    /**
     * A number that may head parts.
     *
     * @param label none where a number without a sign is none yet
     */
    private record Head(int piece, int number, Optional<Label> label) {}

    /** Gives the parts of all questions one shape, and numbers without a sign that head them a label. */
    static void label(List<Cues> all) {
        series(all).values().forEach(heads -> label(all, heads));
    }

    private static void label(List<Cues> all, List<Head> heads) {
        if (heads.isEmpty()) {
            return;
        }
        int headed = 0;
        List<List<Seen>> found = new ArrayList<>();
        Set<String> others = new HashSet<>();
        for (int i = 0; i < heads.size(); i++) {
            int next = i + 1 < heads.size() ? heads.get(i + 1).piece() : all.size();
            int end = end(all, heads.get(i).piece(), next);
            List<Seen> run = runBelow(all, heads.get(i), end);
            if (run.size() < 2) {
                continue;
            }
            if (areAnsweredTogether(all, heads.get(i), run) || areForThemselves(all, heads.get(i), run)) {
                others.add(run.get(0).label().shape());
            } else if (!areRoom(all, run) && ask(all, run, end, asks(behind(all, heads.get(i))))) {
                found.add(run);
                headed++;
            }
        }
        // What is counted alike is alike throughout a paper.
        found.removeIf(run -> others.contains(run.get(0).label().shape()));
        found.forEach(run -> run.forEach(part -> relabel(all, part)));
        if (headed > 0 && (headed * 2 >= heads.size() || heads.size() >= SEVERAL)) {
            heads.stream()
                    .filter(head -> head.label().isEmpty())
                    .forEach(head -> BareNumbers.add(all, head.piece(), head.number()));
        }
    }

    /** Numbers of one shape that count on, some of them perhaps left out or anew from 1. */
    private static Map<String, List<Head>> series(List<Cues> all) {
        Map<String, List<Head>> series = new TreeMap<>();
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            // "(2)" on a line of its own is what the part above is worth.
            boolean possible = cues.piece().first()
                    && !cues.is(Trait.OFF_BODY)
                    && !POINTS.matcher(cues.text()).matches()
                    && !NumberedRoom.isRoom(cues.text())
                    && cues.line().layout().cell().isEmpty();
            if (!possible) {
                continue;
            }
            Optional<Label> number =
                    cues.number().filter(label -> label.printed().matches("\\d{1,2}"));
            int bare = number.filter(label -> !label.shape().equals(BareNumbers.SHAPE))
                            .isEmpty()
                    ? BareNumbers.number(cues)
                    : 0;
            if (bare > 0) {
                List<Head> heads = series.computeIfAbsent(BareNumbers.SHAPE, shape -> new ArrayList<>());
                if (bare == heads.size() + 1) {
                    heads.add(new Head(i, bare, number));
                }
            } else if (number.isPresent()) {
                List<Head> heads = series.computeIfAbsent(number.get().shape(), shape -> new ArrayList<>());
                int last = heads.isEmpty() ? 0 : heads.get(heads.size() - 1).number();
                if (number.get().ordinal() == 1 || number.get().ordinal() > last) {
                    heads.add(new Head(i, number.get().ordinal(), number));
                }
            }
        }
        return series;
    }

    /** Where what belongs to a head ends at last: with the next one, a heading, or the answers. */
    private static int end(List<Cues> all, int head, int next) {
        for (int i = head + 1; i < next; i++) {
            if (all.get(i).is(Trait.HEADING) || KeyHeadings.isHeading(all, i)) {
                return i;
            }
        }
        return next;
    }

    /** What counts from 1 on below a head. */
    private static List<Seen> runBelow(List<Cues> all, Head head, int end) {
        if (Directions.asksForOrder(all.get(head.piece())) || Directions.asksToMatch(all.get(head.piece()))) {
            return List.of();
        }
        for (int i = head.piece() + 1; i < end; i++) {
            for (Label label : all.get(i).labels()) {
                if (isFirst(all.get(i), label, head.number())) {
                    boolean pairs = all.subList(head.piece() + 1, i).stream().anyMatch(Directions::asksToMatch);
                    return pairs ? List.of() : run(all, i, end, label, head.number());
                }
            }
        }
        return List.of();
    }

    /** "True or false?", "Complete with the words from the box": below that are statements, or sentences with gaps. */
    private static boolean areAnsweredTogether(List<Cues> all, Head head, List<Seen> parts) {
        List<Cues> above = all.subList(head.piece() + 1, parts.get(0).piece());
        String told = behind(all, head);
        boolean judged = JudgedBy.in(told).isPresent()
                || above.stream().anyMatch(cues -> JudgedBy.in(cues.text()).isPresent());
        boolean gaps = !isDecimal(parts)
                && parts.stream().allMatch(part -> all.get(part.piece()).is(Trait.GAP));
        return judged || gaps && ExerciseHeads.directs(told);
    }

    /** "1.1" and "1.2" below "QUESTION 1", the name of a part of the paper, are numbers for themselves. */
    private static boolean areForThemselves(List<Cues> all, Head head, List<Seen> parts) {
        return isDecimal(parts)
                && !tells(all.get(head.piece()))
                && !isToldBelow(all, head, parts)
                && all.subList(0, head.piece()).stream().noneMatch(cues -> cues.is(Trait.SECTION_WORD));
    }

    /** "Question 2" and below it "The table shows five readings.": what all of its parts are about. */
    private static boolean isToldBelow(List<Cues> all, Head head, List<Seen> parts) {
        List<Cues> between = all.subList(head.piece() + 1, parts.get(0).piece());
        boolean alone = behind(all, head).isBlank()
                || PointsFinder.isPointsOnly(behind(all, head).strip());
        return alone && !between.isEmpty() && tells(between.get(0));
    }

    private static boolean isDecimal(List<Seen> parts) {
        return parts.get(0).label().kind() == Label.Kind.CODE;
    }

    private static boolean tells(Cues head) {
        String text = head.text();
        int end = PointsFinder.beside(text).map(PointsFinder.Found::from).orElse(text.length());
        return text.substring(0, end).strip().endsWith(".")
                && !head.is(Trait.INSTRUCTION_WORD)
                && !head.is(Trait.TYPE_HEAD);
    }

    private static boolean asks(String told) {
        return told.strip().endsWith("?") || told.strip().endsWith(":");
    }

    private static String behind(List<Cues> all, Head head) {
        Cues cues = all.get(head.piece());
        String text = cues.line().text();
        int from = head.label().map(Label::end).orElse(cues.piece().segment().from());
        return text.substring(from, cues.piece().segment().to());
    }

    private static boolean isFirst(Cues cues, Label label, int number) {
        return ordinal(cues, label, number) == 1;
    }

    /** The place of a part among those of its question, 0 where a label names none. */
    private static int ordinal(Cues cues, Label label, int number) {
        boolean begins = cues.line().layout().cell().isEmpty() && !cues.is(Trait.OFF_BODY);
        String printed = label.printed();
        if (!begins || printed.isEmpty()) {
            return 0;
        }
        if (label.kind() == Label.Kind.LETTER || label.kind() == Label.Kind.ROMAN) {
            return Character.isLowerCase(printed.charAt(0)) ? label.ordinal() : 0;
        }
        Matcher part = PART_OF_NUMBER.matcher(printed);
        boolean numbered = label.kind() == Label.Kind.NUMBER || label.shape().equals(LabelFinder.DECIMAL_SHAPE);
        if (!numbered || !part.matches() || Integer.parseInt(part.group(1)) != number) {
            return 0;
        }
        return part.group(2) == null
                ? Integer.parseInt(part.group(3))
                : part.group(2).charAt(0) - 'a' + 1;
    }

    /** The labels of one kind that count on from the first; none where they begin anew, as options do below each part. */
    private static List<Seen> run(List<Cues> all, int from, int end, Label first, int number) {
        List<Seen> run = new ArrayList<>(List.of(new Seen(from, first)));
        for (int i = from + 1; i < end; i++) {
            for (Label label : all.get(i).labels()) {
                boolean alike = label.shape().equals(first.shape()) && label.kind() == first.kind();
                int ordinal = alike ? ordinal(all.get(i), label, number) : 0;
                if (ordinal == 1) {
                    return List.of();
                }
                if (ordinal == run.size() + 1) {
                    run.add(new Seen(i, label));
                }
            }
        }
        return run;
    }

    /**
     * Whether most of them ask.
     *
     * @param asked whether what stands above them asks already, so that they have to show a place of their own to answer
     */
    private static boolean ask(List<Cues> all, List<Seen> parts, int end, boolean asked) {
        int asking = 0;
        for (int i = 0; i < parts.size(); i++) {
            int next = i + 1 < parts.size() ? parts.get(i + 1).piece() : end;
            Cues cues = all.get(parts.get(i).piece());
            String said = said(all, parts.get(i));
            boolean place = hasPlace(all, parts.get(i), next);
            boolean asks = said.contains("?")
                    || cues.is(Trait.GAP)
                    || ExerciseHeads.directs(said)
                    || Directions.asksToExplain(said)
                    || Directions.asks(said);
            asking += place || asks && !asked ? 1 : 0;
        }
        return asking * 3 >= parts.size() * 2;
    }

    /** "(a) ____  (b) ____": some are nothing but places for an answer to what stands above. */
    private static boolean areRoom(List<Cues> all, List<Seen> parts) {
        return parts.stream().anyMatch(part -> said(all, part).chars().noneMatch(Character::isLetterOrDigit));
    }

    private static String said(List<Cues> all, Seen part) {
        Cues cues = all.get(part.piece());
        return cues.line()
                .text()
                .substring(part.label().end(), cues.piece().segment().to());
    }

    /** Points, options, room or an answer of its own. */
    private static boolean hasPlace(List<Cues> all, Seen part, int next) {
        return PointsFinder.isPointed(all.get(part.piece()))
                || all.subList(part.piece() + 1, next).stream()
                        .anyMatch(cues -> cues.is(Trait.WRITING_LINE)
                                || cues.is(Trait.POINTS_ONLY)
                                || cues.announces(Cues.Announces.KEY)
                                || cues.labels().stream()
                                        .anyMatch(label -> label.kind() == Label.Kind.BOX
                                                || label.ordinal() == 1
                                                        && !label.shape()
                                                                .equals(part.label()
                                                                        .shape())));
    }

    private static void relabel(List<Cues> all, Seen part) {
        Label label = part.label();
        // "1.2" stays as it is, "1b" is the letter of its question.
        String printed = label.printed().replaceFirst("^\\d+(?=[a-h]$)", "");
        boolean lettered = printed.length() < label.printed().length();
        int ordinal = lettered ? printed.charAt(0) - 'a' + 1 : label.ordinal();
        Exercises.relabel(
                all,
                part.piece(),
                new Label(Label.Kind.LETTER, ordinal, printed, Exercises.SHAPE_OF_PARTS, label.from(), label.end()));
    }
}
