package org.tidyleaf.reading.list;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.wording.Vocabulary;

/** What a line of a key names its part of the test by, before the answers: "Part B: 1 wax", "II. 6. F", "2  1 wax  2 comb". */
final class KeyPartHeads {

    private static final Pattern PART_HEAD = Vocabulary.pattern("((?:" + Vocabulary.ALL.either("section")
            + "|(?=.*?:\\s*[(]?\\d{1,3}[a-h]?\\s*[).:=](?!\\d))" + Vocabulary.ALL.either("question") + ")\\s+(?:"
            + Vocabulary.ALL.either("numbers")
            + "|[A-Z]|\\d{1,2}|[IVX]{1,5})|(?-i:[IVX]{1,5}|[A-H])(?=\\s*[:.)]\\s*[(]?1(?:\\s*[.):]|\\s*\\p{L}.*\\s2\\s*\\p{L}))"
            + ")\\s*[:.)\u2013-]+\\s*(?=[(]?\\d)");

    /** "Exercise 2: 1 wax; 2 comb", where that is no question itself. */
    private static final Pattern COUNTED_HEAD = Vocabulary.pattern(
            "((?:" + Vocabulary.ALL.either("section", "question") + ")\\s+\\d{1,2})\\s*[:.)\u2013-]+\\s*(?=[(]?\\d)");

    /** "II. 6. F   7. T" where the numbers count on from the part above. */
    private static final Pattern COUNTING_HEAD =
            Pattern.compile("([IVX]{1,5}|[A-H])\\s*[:.)]\\s*(?=[(]?(\\d{1,3})(?:\\s?[-\u2013]\\s?\\d{1,3})?[.):]?\\s)");

    /** "A 1 leave, 2 found": nothing behind the letter of the part but its first number. */
    private static final Pattern BARE_PART_HEAD =
            Pattern.compile("([A-H]|[IVX]{1,4})\\s+(?=[(]?1[.):]?\\s*\\p{L}|1[.):]?\\s+\\d.*\\s{2,}2[.):]?\\s)");

    /** "2  1 wax  2 comb": the number of an exercise, far before the first of its own numbers. */
    private static final Pattern EXERCISE_HEAD =
            Pattern.compile("(\\d{1,2})(?:\\s{2,}|\\t)\\s*(?=[(]?1[.):]?\\s*[^\\s\\d.,])");

    private static final Pattern NAMED = Pattern.compile(
            "(\\p{Lu}\\p{L}{2,14}\\s(?:\\d{1,2}|[A-H]|[IVX]{1,4}))\\s*[:.\u2013-]+\\s*(\\p{L}[^:]*?[,;]\\s*\\S[^:]*)");

    private static final Pattern LONE_EXERCISE = Pattern.compile("(\\d{1,2})(?:\\s{2,}|\\t)");

    private static final Pattern TITLE = Pattern.compile("(\\p{L}[^:\\d]{2,60}?)\\s*:\\s*(?=[(]?1(?!\\d))");

    private static final int LONGEST_TITLE = 100;

    private final List<Cues> all;
    private boolean exercises;

    /** @param all the pieces of the document that the key is in */
    KeyPartHeads(List<Cues> all) {
        this.all = all;
    }

    /**
     * The head of a line.
     *
     * @param heading the name of the part; empty where the line only ends the part above
     * @param end where the answers begin in the line
     * @param countsOn whether its numbers go on from the part above
     */
    record Head(String heading, int end, boolean countsOn) {

        static Head of(Matcher head) {
            return new Head(head.group(1), head.end(), false);
        }
    }

    /** Finds out whether lines of the list, which begins at a piece, begin with the number of an exercise, counted on. */
    void look(int start) {
        int last = 0;
        int several = 0;
        for (int i = start; i < all.size(); i++) {
            Matcher head = EXERCISE_HEAD.matcher(all.get(i).line().text());
            if (all.get(i).piece().first() && head.lookingAt()) {
                int number = Integer.parseInt(head.group(1));
                several += number == last + 1 || last == 0 ? 1 : 0;
                last = number;
            }
        }
        exercises = several > 1;
    }

    /**
     * The head that a line begins with; empty where it has none.
     *
     * @param above the name of the part above, or empty
     * @param last the last number answered there; 0 where none was
     */
    Optional<Head> find(String text, String above, int last) {
        Matcher counting = COUNTING_HEAD.matcher(text);
        if (last > 0 && counting.lookingAt() && Integer.parseInt(counting.group(2)) == last + 1) {
            return Optional.of(new Head(counting.group(1), counting.end(), true));
        }
        Matcher exercise = EXERCISE_HEAD.matcher(text);
        if (exercises && exercise.lookingAt()) {
            return Optional.of(Head.of(exercise));
        }
        Matcher named = PART_HEAD.matcher(text);
        Matcher head = named.lookingAt() ? named : BARE_PART_HEAD.matcher(text);
        if (head.lookingAt()) {
            return Optional.of(Head.of(head));
        }
        Matcher counted = COUNTED_HEAD.matcher(text);
        if (counted.lookingAt() && headsExercise(counted.group(1))) {
            return Optional.of(Head.of(counted));
        }
        // An exercise that is one question has nothing to count: its number answers itself.
        return title(text).or(() -> endsExercise(text, above) ? Optional.of(new Head("", 0, false)) : Optional.empty());
    }

    /** Whether the test has an exercise of that name that counts what it asks. */
    private boolean headsExercise(String name) {
        return all.stream()
                .anyMatch(
                        cues -> cues.is(Cues.Trait.EXERCISE_HEAD) && cues.text().startsWith(name));
    }

    /** "Activity 2: T, F, F": the part that the test heads so, and behind it all of its answers; empty where it is none. */
    Optional<KeyLineParts.Part> whole(String text) {
        Matcher named = NAMED.matcher(text);
        boolean known = named.matches()
                && all.stream()
                        .filter(cues -> cues.is(Cues.Trait.EXERCISE_HEAD)
                                || cues.is(Cues.Trait.SECTION_WORD)
                                || cues.is(Cues.Trait.HEADING))
                        .map(Cues::text)
                        .anyMatch(head -> head.startsWith(named.group(1))
                                && head.length() > named.end(1)
                                && !Character.isLetterOrDigit(head.charAt(named.end(1)))
                                && !head.equals(text));
        return known ? Optional.of(new KeyLineParts.Part(named.group(1), named.group(2))) : Optional.empty();
    }

    private boolean endsExercise(String text, String above) {
        Matcher lone = LONE_EXERCISE.matcher(text);
        return exercises
                && above.matches("\\d{1,2}")
                && lone.lookingAt()
                && Integer.parseInt(lone.group(1)) == Integer.parseInt(above) + 1;
    }

    /** "Matching: 1 B; 2 C": the title of a part of the test before its answers. */
    private Optional<Head> title(String text) {
        Matcher title = TITLE.matcher(text);
        boolean known = title.lookingAt()
                && all.stream()
                        .filter(cues -> cues.text().length() < LONGEST_TITLE)
                        .anyMatch(cues -> PointsFinder.withoutEach(cues.text()).equalsIgnoreCase(title.group(1)));
        return known ? Optional.of(Head.of(title)) : Optional.empty();
    }
}
