package org.tidyleaf.reading.cue;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.line.PrintedPairs;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "Circle T if the statement is true." or "Choose the best answer." on a line without a number, between questions that have
 * theirs: it says how the next ones are answered and goes on with none above it.
 */
final class GroupHeads {

    private static final Pattern HEAD = Vocabulary.pattern("(?:" + Vocabulary.ALL.either("directions")
            + "\\s*[:.]\\s*)?" + Vocabulary.ALL.either("group_head") + "\\b.*");

    private static final Pattern RECKON = Vocabulary.pattern(Vocabulary.ALL.either("convert", "reckon") + "\\b");

    private static final int LONGEST = 130;

    private static final int FEWEST_QUESTIONS = 2;

    private GroupHeads() {}

    static void mark(List<Cues> all) {
        Set<Integer> found = new HashSet<>();
        boolean apart = false;
        int first = 0;
        while (first < all.size() && !all.get(first).has(Label.Kind.NUMBER)) {
            first++;
        }
        for (int i = first + 1; i + 1 < all.size(); i++) {
            if (isComplete(all, i - 1) && isHead(all, i)) {
                found.add(i);
            } else if (isApart(all, i) && (isComplete(all, i - 1) || isBetweenSeveral(all, i))) {
                all.get(i).traits().add(Trait.GROUP_HEAD);
                apart = true;
            }
        }
        // Above the first number it is said of all questions, unless others say the same of theirs.
        int above = first - 1;
        if (!found.isEmpty()
                && above > 0
                && first < all.size()
                && isHead(all, above)
                && isSaidAlike(all, above, found)) {
            found.add(above);
        }
        boolean ofFirst = apart && above > 0 && first < all.size() && mayHead(all, above);
        if (ofFirst && headsFirst(all, above, first)) {
            found.add(above);
        }
        found.forEach(i -> all.get(i).traits().add(Trait.GROUP_HEAD));
    }

    private static boolean isHead(List<Cues> all, int place) {
        Cues cues = all.get(place);
        boolean possible = mayHead(all, place);
        boolean worded = possible
                && Vocabulary.ALL.mentions(cues.words(), "group_head")
                && HEAD.matcher(cues.text()).matches();
        return worded || possible && isDirectionInItalics(cues, all.get(place + 1));
    }

    /** A line without any label right above a number. */
    private static boolean mayHead(List<Cues> all, int place) {
        Cues cues = all.get(place);
        return cues.labels().isEmpty()
                && cues.lead().isEmpty()
                && cues.line().layout().cell().isEmpty()
                && cues.text().length() < LONGEST
                && !cues.is(Trait.GAP)
                && all.get(place + 1).has(Label.Kind.NUMBER);
    }

    /** "Tick ONE box only." above the first number: how the next ones are answered, where others tell the same of theirs. */
    private static boolean headsFirst(List<Cues> all, int above, int first) {
        return standsAlone(all.get(above), all.get(first)) && !all.get(above).is(Trait.RULES);
    }

    private static boolean isApart(List<Cues> all, int place) {
        return mayHead(all, place) && standsAlone(all.get(place), all.get(place + 1));
    }

    /** Whether at least two questions stand above it and two below it, to the next such line. */
    private static boolean isBetweenSeveral(List<Cues> all, int place) {
        int above = 0;
        for (int i = place - 1; i >= 0 && !isApart(all, i); i--) {
            above += all.get(i).has(Label.Kind.NUMBER) ? 1 : 0;
        }
        int below = 0;
        for (int i = place + 1; i + 1 < all.size() && !isApart(all, i); i++) {
            below += all.get(i).has(Label.Kind.NUMBER) ? 1 : 0;
        }
        return above >= FEWEST_QUESTIONS && below >= FEWEST_QUESTIONS && isBelowQuestion(all, place);
    }

    /** "Circle the larger one." as a paragraph of its own, with room above and below. */
    private static boolean standsAlone(Cues cues, Cues below) {
        return cues.spaceBefore() > 0
                && below.spaceBefore() > 0
                && cues.is(Trait.SHORT)
                && cues.is(Trait.ENDS_SENTENCE)
                && !cues.text().endsWith("?")
                && !cues.is(Trait.STARTS_LOWER)
                && (ExerciseHeads.directs(behindQuestion(cues.text()))
                        || RECKON.matcher(cues.text()).lookingAt());
    }

    /** Whether the paragraph above begins with a number, as one of a passage does not. */
    private static boolean isBelowQuestion(List<Cues> all, int place) {
        int first = place - 1;
        while (first > 0 && all.get(first).spaceBefore() == 0 && !all.get(first).has(Label.Kind.NUMBER)) {
            first--;
        }
        return all.get(first).has(Label.Kind.NUMBER);
    }

    /** "Which word is different? Cross it out.": what is to be done stands behind. */
    private static String behindQuestion(String text) {
        return text.substring(text.indexOf('?') + 1);
    }

    /** "<i>Write your answer on the line. (1 pt each)</i>": set apart from the question below, and with what it is worth. */
    private static boolean isDirectionInItalics(Cues cues, Cues below) {
        boolean apart = cues.is(Trait.ITALIC) && !below.is(Trait.ITALIC)
                || cues.is(Trait.UNDERLINED) && !below.is(Trait.UNDERLINED);
        return apart
                && !cues.is(Trait.QUESTION_MARK)
                && (cues.is(Trait.INSTRUCTION_WORD) && cues.is(Trait.ENDS_SENTENCE)
                        || PointsFinder.beside(cues.text()).isPresent()
                        || cues.is(Trait.POINTS_EACH));
    }

    /** Whether it looks like one of the others. */
    private static boolean isSaidAlike(List<Cues> all, int place, Set<Integer> found) {
        return found.stream()
                .map(all::get)
                .anyMatch(other -> other.is(Trait.ITALIC) == all.get(place).is(Trait.ITALIC)
                        && other.is(Trait.BOLD) == all.get(place).is(Trait.BOLD));
    }

    /** What stands above lacks nothing: an option, a table, a question, a gap or a statement that is judged. */
    private static boolean isComplete(List<Cues> all, int above) {
        Cues cues = all.get(above);
        boolean option = cues.labels().stream()
                .anyMatch(label -> label.kind() == Label.Kind.LETTER || label.kind() == Label.Kind.BOX);
        return option
                || cues.line().layout().cell().isPresent()
                || cues.is(Trait.GAP)
                || cues.is(Trait.SPACED)
                || cues.is(Trait.WRITING_LINE)
                || cues.is(Trait.QUESTION_MARK)
                || cues.margin().isPresent()
                || cues.lead().isPresent()
                || PrintedPairs.endsWithPair(cues.text());
    }
}
