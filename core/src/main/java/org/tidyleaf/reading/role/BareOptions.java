package org.tidyleaf.reading.role;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.tidyleaf.reading.cue.TraitFinder;
import org.tidyleaf.reading.habit.HabitFinder;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.line.TypeLabels;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Habits;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.GapSigns;
import org.tidyleaf.source.Emphasis;

/**
 * Options without letter or bullet: below each of several numbers a few short lines up to the next gap or number. That they are
 * options shows in one of them being marked or set apart, or in their being as many below most of the numbers that have any.
 */
final class BareOptions {

    private static final int MOST = 8;

    /** Fewer lines below a number are told from a stem of two lines only by a mark. */
    private static final int FEWEST_UNMARKED = 3;

    /** So many numbers with as many lines below them are a habit; two are where no other has any. */
    private static final int FEWEST_GROUPS = 3;

    /** Where a key at the end is looked for. */
    private static final int LAST_LINES = 60;

    private static final Set<Emphasis> MARKS =
            Set.of(Emphasis.HIGHLIGHT, Emphasis.COLOR, Emphasis.UNDERLINE, Emphasis.BOLD);

    /** "3. A" with nothing behind it but the next; "3. A drone …" asks. */
    private static final Pattern KEYED = Pattern.compile(
            "(?<![\\d.,])(\\d{1,3})\\s?[.):-]\\s{0,3}([A-H])(?=\\s*$|\\s*[,;]|\\.?\\s+\\d|\\.\\s*$|\\s{2}|\\t)");

    private static final Pattern BOX = Pattern.compile("[\u2610\u25a1]|\\[\\s*]");

    private BareOptions() {}

    /** The places of all pieces that are such options. */
    static Set<Integer> find(List<Cues> all, Habits habits) {
        List<List<Integer>> groups = evenlySpaced(all, groups(all, habits));
        List<List<Integer>> signed =
                groups.stream().filter(group -> isSigned(all, group)).toList();
        List<List<Integer>> apart =
                groups.stream().filter(group -> isSetApart(all, group)).toList();
        // A single line set apart below a number may be the next heading.
        List<List<Integer>> marked = new ArrayList<>(signed);
        marked.addAll(apart.size() > 1 ? apart : List.of());
        Set<Integer> sizes = marked.stream().map(List::size).collect(Collectors.toSet());
        if (marked.isEmpty()) {
            List<List<Integer>> larger = groups.stream()
                    .filter(group -> group.size() >= FEWEST_UNMARKED)
                    .toList();
            IntStream.rangeClosed(FEWEST_UNMARKED, MOST)
                    .filter(size -> isHabit(larger, size))
                    .forEach(sizes::add);
        }
        Set<Integer> found = new HashSet<>();
        // Where numbers begin anew, a letter may belong to another part's question.
        Map<Integer, Integer> keys = groups.isEmpty() || beginAnew(all, habits) ? Map.of() : letterKeys(all);
        groups.stream()
                .filter(group -> sizes.contains(group.size())
                        || isKeyedByLetter(all, habits, group, keys)
                        || isKeyedByWords(all, habits, group))
                .forEach(found::addAll);
        return found;
    }

    private static boolean beginAnew(List<Cues> all, Habits habits) {
        Set<Integer> seen = new HashSet<>();
        return habits.chained().stream()
                .flatMap(stem -> habits.stemLabel(all.get(stem)).stream())
                .anyMatch(label -> !seen.add(label.ordinal()));
    }

    /** "1. B   2. A": for each number the place of the letter that somewhere stands behind it; none where only a few have one. */
    private static Map<Integer, Integer> letterKeys(List<Cues> all) {
        Map<Integer, Integer> keys = new HashMap<>();
        for (Cues cues : all) {
            KEYED.matcher(cues.line().text())
                    .results()
                    .forEach(keyed -> keys.put(
                            Integer.parseInt(keyed.group(1)), keyed.group(2).charAt(0) - 'A'));
        }
        return keys.size() < FEWEST_GROUPS ? Map.of() : keys;
    }

    /** A question with a letter for its answer has options, though none of them shows a letter. */
    private static boolean isKeyedByLetter(
            List<Cues> all, Habits habits, List<Integer> group, Map<Integer, Integer> keys) {
        int stem = group.get(0) - 1;
        while (stem > 0 && !habits.chained().contains(stem)) {
            stem--;
        }
        return habits.stemLabel(all.get(stem))
                .map(label -> keys.get(label.ordinal()))
                .filter(letter -> letter < group.size())
                .isPresent();
    }

    /** "5 an apiarist" further down, in a line that answers others as well: one of the lines below question 5 is its answer. */
    private static boolean isKeyedByWords(List<Cues> all, Habits habits, List<Integer> group) {
        int stem = group.get(0) - 1;
        while (stem > 0 && !habits.chained().contains(stem)) {
            stem--;
        }
        Optional<Label> label = habits.stemLabel(all.get(stem));
        if (label.isEmpty() || group.size() < FEWEST_UNMARKED) {
            return false;
        }
        int last = group.get(group.size() - 1);
        return group.stream().map(piece -> all.get(piece).text().strip()).anyMatch(line -> {
            Pattern answer = Pattern.compile("(?<!\\d)" + label.get().ordinal() + "[.):]?\\s+" + Pattern.quote(line)
                    + "(?=[,;.]?\\s+\\d|[,;.]?\\s*$)");
            return all.subList(Math.max(last + 1, all.size() - LAST_LINES), all.size()).stream()
                    .map(Cues::text)
                    .anyMatch(text -> text.length() > line.length() + 4
                            && text.contains(line)
                            && answer.matcher(text).find());
        });
    }

    /** Where options stand right below what is asked, lines behind a gap are something else. */
    private static List<List<Integer>> evenlySpaced(List<Cues> all, List<List<Integer>> groups) {
        List<List<Integer>> close =
                groups.stream().filter(group -> isClose(all, group.get(0))).toList();
        return close.isEmpty() ? groups : close;
    }

    /** Right below the line above, or below a picture, which keeps its distance by nature. */
    private static boolean isClose(List<Cues> all, int piece) {
        return all.get(piece).spaceBefore() == 0
                || piece > 0 && all.get(piece - 1).is(Trait.FIGURE_ONLY);
    }

    private static boolean isHabit(List<List<Integer>> groups, int size) {
        long alike = groups.stream().filter(group -> group.size() == size).count();
        return alike >= FEWEST_GROUPS && alike * 2 > groups.size() || alike == 2 && groups.size() == 2;
    }

    private static List<List<Integer>> groups(List<Cues> all, Habits habits) {
        List<List<Integer>> groups = new ArrayList<>();
        Set<Integer> clozes = clozeNumbers(all, habits);
        for (int stem : habits.chained()) {
            if (hasGap(all.get(stem))) {
                continue;
            }
            List<Integer> group = new ArrayList<>();
            // Below a lone number stands first what is asked.
            boolean askedBelow = isOnlyNumber(all.get(stem), habits) && !clozes.contains(stem);
            int i = askedBelow ? stem + 2 : stem + 1;
            i += clozes.contains(stem) && i < all.size() && all.get(i).is(Trait.POINTS_ONLY) ? 1 : 0;
            while (i < all.size() && (all.get(i).is(Trait.FIGURE_ONLY) || isEndOfQuestion(all, i, habits))) {
                i++;
            }
            while (i < all.size()
                    && isBare(all, i, habits)
                    && (group.isEmpty() || all.get(i).spaceBefore() == 0)) {
                if (!isRestOf(all.get(i - 1), all.get(i))) {
                    group.add(i);
                }
                i++;
            }
            boolean whole = i >= all.size() || !isLabelled(all.get(i), habits);
            // Two lines behind a gap are a head and what is to be done below it.
            boolean close = group.size() >= FEWEST_UNMARKED || !group.isEmpty() && isClose(all, group.get(0));
            if (whole && close && group.size() >= 2 && group.size() <= MOST) {
                groups.add(group);
            }
        }
        return groups;
    }

    /** "(4) When is it best to open" and below it "a hive?". */
    private static boolean isEndOfQuestion(List<Cues> all, int piece, Habits habits) {
        Cues cues = all.get(piece);
        return cues.is(Trait.QUESTION_MARK)
                && cues.is(Trait.ENDS_SENTENCE)
                && !all.get(piece - 1).is(Trait.ENDS_SENTENCE)
                && cues.spaceBefore() == 0
                && cues.labels().isEmpty()
                && !habits.chained().contains(piece);
    }

    /** What had no room on the line above goes on with it. */
    private static boolean isRestOf(Cues above, Cues cues) {
        return above.is(Trait.FULL) && !above.is(Trait.ENDS_SENTENCE) && cues.spaceBefore() == 0;
    }

    /** "(___/2)" is room for the points and no gap. */
    private static boolean hasGap(Cues stem) {
        String text = stem.text();
        int end = PointsFinder.beside(text)
                .filter(points -> points.from() > 0)
                .map(PointsFinder.Found::from)
                .orElse(text.length());
        return stem.is(Trait.GAP) && GapSigns.count(text.substring(0, end)) > 0;
    }

    /** Whether there is nothing but a question's number, with its points or a box for a letter perhaps. */
    static boolean isOnlyNumber(Cues cues, Habits habits) {
        return habits.stemLabel(cues)
                .map(label -> HabitFinder.textBehind(cues, label, habits).strip())
                .filter(text -> text.isEmpty()
                        || BOX.matcher(text).matches()
                        || PointsFinder.only(text).isPresent()
                        || TypeLabels.isTypeAndPoints(text))
                .isPresent();
    }

    private static boolean isBare(List<Cues> all, int piece, Habits habits) {
        Cues cues = all.get(piece);
        boolean other = cues.is(Trait.WRITING_LINE)
                || cues.is(Trait.RULE)
                || cues.is(Trait.GAP)
                || cues.is(Trait.FILL_IN)
                || cues.is(Trait.POINTS_ONLY)
                || cues.is(Trait.FIGURE_ONLY)
                || cues.is(Trait.SECTION_WORD)
                || cues.is(Trait.HEADING)
                || cues.is(Trait.TABULAR)
                || cues.is(Trait.TYPE_HEAD)
                || cues.is(Trait.GROUP_HEAD)
                || cues.is(Trait.QUESTION_MARK);
        return !other
                && cues.is(Trait.SHORT)
                && cues.piece().first()
                && cues.lead().isEmpty()
                && cues.line().layout().cell().isEmpty()
                && !habits.chained().contains(piece)
                && !habits.headings().contains(piece)
                && !habits.parts().contains(piece)
                && !isLabelled(cues, habits);
    }

    private static boolean isLabelled(Cues cues, Habits habits) {
        return habits.optionLabel(cues).isPresent()
                || cues.labels().stream()
                        .anyMatch(label -> label.kind() == Label.Kind.BULLET
                                || label.kind() == Label.Kind.BOX
                                || label.kind() == Label.Kind.LETTER);
    }

    /** Whether some of the lines, but not all, have a sign. */
    private static boolean isSigned(List<Cues> all, List<Integer> group) {
        return isSome(group, piece -> all.get(piece).sign().isPresent());
    }

    /** Whether some of the lines, but not all, stand out by their look. */
    private static boolean isSetApart(List<Cues> all, List<Integer> group) {
        return MARKS.stream()
                .anyMatch(mark -> isSome(group, piece -> all.get(piece).isMostly(mark)));
    }

    private static boolean isSome(List<Integer> group, Predicate<Integer> is) {
        long some = group.stream().filter(is).count();
        return some > 0 && some < group.size();
    }

    /** The places of numbers alone that are those of gaps in the text above. */
    static Set<Integer> clozeNumbers(List<Cues> all, Habits habits) {
        if (all.stream().noneMatch(cues -> cues.is(Trait.CLOZE))) {
            return Set.of();
        }
        // A number may end one line and its gap begin the next.
        Set<Integer> gaps =
                TraitFinder.numberedGaps(all.stream().map(Cues::text).collect(Collectors.joining(" ")));
        Set<Integer> found = new HashSet<>();
        boolean below = false;
        for (int i = 0; i < all.size(); i++) {
            below |= all.get(i).is(Trait.CLOZE);
            boolean alone = below
                    && habits.stemLabel(all.get(i))
                            .filter(label -> gaps.contains(label.ordinal()))
                            .isPresent()
                    && isOnlyNumber(all.get(i), habits);
            if (alone) {
                found.add(i);
            }
        }
        return found;
    }
}
