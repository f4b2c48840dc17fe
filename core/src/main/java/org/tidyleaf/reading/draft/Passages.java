package org.tidyleaf.reading.draft;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.tidyleaf.question.Stimulus;
import org.tidyleaf.reading.cue.ClozeExercises;
import org.tidyleaf.reading.cue.TraitFinder;
import org.tidyleaf.reading.line.ProseMaker;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/** The passages of a test while its lines are gathered, and which questions each is for. One per reading, not shared. */
final class Passages {

    private static final Pattern RANGE = Vocabulary.pattern("(\\d{1,3})((?:\\s*,\\s*\\d{1,3})*)\\s*(?:-|\u2013|\u2014|"
            + Vocabulary.ALL.either("to") + ")\\s*(\\d{1,3})\\b");

    private final List<Passage> passages = new ArrayList<>();

    private int askedAbove;

    /** A passage and the printed numbers it is for; where it names none it is for all questions up to the next section. */
    private record Passage(List<Segment> segments, Optional<Set<Integer>> numbers, int section, StringBuilder text) {

        /** The numbers of its gaps. */
        Set<String> gaps() {
            return TraitFinder.numberedGaps(text.toString()).stream()
                    .map(String::valueOf)
                    .collect(Collectors.toSet());
        }

        int firstLine() {
            return segments.get(0).line();
        }
    }

    /**
     * Takes a line.
     *
     * @param more whether it goes on with the last passage
     * @param section the one it stands in, -1 for none
     * @param asked how many questions stand above it
     */
    void add(Cues cues, boolean more, int section, int asked) {
        add(cues, Optional.empty(), more, section, asked);
    }

    /** The same for a passage whose numbers stand {@code beside} it, if they do. */
    void add(Cues cues, Optional<String> beside, boolean more, int section, int asked) {
        if ((more || standsBeside(cues, section, asked)) && !passages.isEmpty()) {
            passages.get(passages.size() - 1).segments().add(ClozeExercises.withoutNumber(cues));
            passages.get(passages.size() - 1).text().append(' ').append(cues.text());
            return;
        }
        askedAbove = asked;
        passages.add(new Passage(
                new ArrayList<>(List.of(ClozeExercises.withoutNumber(cues))),
                numbers(beside.orElse(cues.text())),
                section,
                new StringBuilder(cues.text())));
    }

    /** "1 to 4", or "1, 2 and 4": the numbers that a passage says it is for. */
    private static Optional<Set<Integer>> numbers(String text) {
        Matcher matcher = RANGE.matcher(text);
        if (!matcher.find()) {
            return Optional.empty();
        }
        int first = Integer.parseInt(matcher.group(1));
        int last = Integer.parseInt(matcher.group(3));
        if (matcher.group(2).isEmpty()) {
            return Optional.of(IntStream.rangeClosed(first, last).boxed().collect(Collectors.toSet()));
        }
        Set<Integer> listed = new TreeSet<>(Set.of(first, last));
        Stream.of(matcher.group(2).split("\\s*,\\s*"))
                .filter(number -> !number.isEmpty())
                .forEach(number -> listed.add(Integer.parseInt(number)));
        return Optional.of(listed);
    }

    /** "Source B" below "Source A" with no question between: both are for the same questions. */
    private boolean standsBeside(Cues cues, int section, int asked) {
        return !passages.isEmpty()
                && cues.is(Cues.Trait.PASSAGE_HEAD)
                && asked == askedAbove
                && passages.get(passages.size() - 1).section() == section
                && passages.get(passages.size() - 1).numbers().isEmpty();
    }

    /** Says to each question which passage it is about. */
    void link(List<Draft> questions) {
        for (int p = 0; p < passages.size(); p++) {
            Passage passage = passages.get(p);
            for (Draft draft : questions) {
                if (passage.numbers()
                        .map(numbers -> isOneOf(draft, numbers) && isNearest(draft, passage, questions))
                        .orElseGet(() -> follows(draft, passage, questions))) {
                    draft.stimulus = p;
                }
            }
        }
    }

    /** Where several sections have a question of the number, the one in the passage's own is meant, or the next below it. */
    private static boolean isNearest(Draft draft, Passage passage, List<Draft> questions) {
        List<Draft> alike = questions.stream()
                .filter(other -> digits(other).equals(digits(draft)))
                .toList();
        int nearest = alike.stream()
                .filter(other -> other.section == passage.section())
                .findFirst()
                .or(() -> alike.stream()
                        .filter(other -> other.firstLine() > passage.firstLine())
                        .findFirst())
                .map(other -> other.section)
                .orElse(draft.section);
        return draft.section == nearest;
    }

    private static String digits(Draft draft) {
        int end = 0;
        while (end < draft.number.length() && Character.isDigit(draft.number.charAt(end))) {
            end++;
        }
        return draft.number.substring(0, end);
    }

    private static boolean isOneOf(Draft draft, Set<Integer> numbers) {
        String digits = digits(draft);
        return !digits.isEmpty() && numbers.contains(Integer.parseInt(digits));
    }

    /**
     * A passage stands for the rest of its section; one above all sections for all of them, up to the next passage. Where there
     * are no sections, one with numbered gaps is for the questions of these numbers.
     */
    private boolean follows(Draft draft, Passage passage, List<Draft> questions) {
        int line = passage.firstLine();
        if (draft.firstLine() <= line) {
            return false;
        }
        List<Draft> forGaps = forGaps(passage, questions);
        if (draft.section < 0 && !forGaps.isEmpty()) {
            return forGaps.contains(draft);
        }
        boolean aboveAll = passage.section() < 0
                && questions.stream().noneMatch(question -> question.section < 0)
                && passages.stream()
                        .filter(other -> other != passage)
                        .map(Passage::firstLine)
                        .noneMatch(other -> other > line && other < draft.firstLine());
        return draft.section == passage.section() || aboveAll;
    }

    /** The questions below a passage that have the numbers of its gaps, one for each; empty where not every gap has one. */
    private static List<Draft> forGaps(Passage passage, List<Draft> questions) {
        Set<String> gaps = passage.gaps();
        Set<String> left = new HashSet<>(gaps);
        List<Draft> found = questions.stream()
                .filter(draft -> draft.firstLine() > passage.firstLine())
                .filter(draft -> left.remove(digits(draft)))
                .toList();
        return gaps.size() > 1 && left.isEmpty() ? found : List.of();
    }

    /** Their texts, without the numbers in their margins unless somebody asks about a line by its number. */
    List<Stimulus> stimuli(Source source, ProseMaker prose) {
        boolean numbered = !passages.isEmpty() && LineNumbers.areNeeded(source);
        List<Stimulus> stimuli = new ArrayList<>();
        for (Passage passage : passages) {
            List<Segment> text = numbered ? passage.segments() : LineNumbers.without(source, passage.segments());
            stimuli.add(new Stimulus(prose.text(text)));
        }
        return stimuli;
    }
}
