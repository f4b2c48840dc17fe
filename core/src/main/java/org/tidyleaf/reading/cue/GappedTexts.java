package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.Alternatives;
import org.tidyleaf.reading.line.BankWords;
import org.tidyleaf.reading.model.Blocks;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Segment;

/**
 * "Questions 8–10" over a text with "8 ____", "9 ____" and "10 ____" in it, and nothing more of these numbers: the text is one
 * question with several gaps, and its number is theirs, "8–10".
 */
public final class GappedTexts {

    /** "(1) [go / went / gone]": words to choose from stand where the gap would be. */
    private static final String CHOICE = "[(\\[][^()\\[\\]/|]{1,30}[/|][^()\\[\\]]{1,60}[)\\]]";

    private static final Pattern GAP = Pattern.compile(
            "(?<![\\p{L}\\d])[(\\[]?(\\d{1,3})[)\\].]?\\s*(?=(?:_{3,}|\\.{5,}|\u2026{2,}|" + CHOICE + "))");

    private static final Pattern KEY_HEADING =
            Vocabulary.pattern("\\W*" + Vocabulary.ALL.either("list", "answer") + "\\b.*");

    private static final String SHAPE = "(9)_text";

    /** A text with one gap is a question like others. */
    private static final int FEWEST = 2;

    /** "1 ______" is room to write. */
    private static final int FEWEST_WORDS = 3;

    /** A text of more paragraphs between two gaps is a passage. */
    private static final int FARTHEST = 3;

    private GappedTexts() {}

    /** Labels the first line of each such text with the numbers of its gaps. */
    static void label(List<Cues> all) {
        int at = 0;
        while (at < all.size()) {
            Run run = run(all, at);
            if (run.last() - run.first() + 1 >= FEWEST && isOnItsOwn(all, at, run)) {
                // Gaps that begin with 1 are counted within the text alone, unless the next question goes on from them.
                boolean alone = run.first() == 1 && !goesOn(all, run);
                String printed = alone ? "" : run.first() + "\u2013" + run.last();
                all.set(at, all.get(at).withLabels(List.of(label(all.get(at), run.first(), printed))));
                all.get(at).traits().remove(Trait.CLOZE);
            }
            at = Math.max(at + 1, run.end());
        }
    }

    /** The label of a line that stands for all gaps of its text. */
    static Label label(Cues cues, int first, String printed) {
        int from = cues.piece().segment().from();
        return new Label(Label.Kind.NUMBER, first, printed, SHAPE, from, from);
    }

    private static boolean goesOn(List<Cues> all, Run run) {
        return all.subList(run.end(), all.size()).stream()
                .flatMap(cues -> cues.number().stream())
                .findFirst()
                .filter(next -> next.ordinal() == run.last() + 1)
                .isPresent();
    }

    /** The pieces of such texts, the first and those that go on with it. */
    public static Map<Integer, Blocks.Kind> find(List<Cues> all) {
        Map<Integer, Blocks.Kind> found = new HashMap<>();
        for (int i = 0; i < all.size(); i++) {
            if (isFirst(all.get(i))) {
                found.put(i, Blocks.Kind.NEW_LEAD);
                int end = run(all, i).end();
                for (int next = i + 1; next < end; next++) {
                    found.put(next, Blocks.Kind.GAPPED);
                }
            }
        }
        return found;
    }

    private static boolean isFirst(Cues cues) {
        return cues.labels().stream().anyMatch(label -> label.shape().equals(SHAPE));
    }

    /**
     * Lines of a text whose gaps count on.
     *
     * @param first the number of the first gap, above {@code last} where there is none
     * @param end behind the last line
     */
    private record Run(int first, int last, int end) {}

    private static Run run(List<Cues> all, int from) {
        int first = 1;
        int last = 0;
        int end = from;
        for (int i = from; i < all.size() && i <= end + FARTHEST && isText(all.get(i), i == from); i++) {
            boolean choices = hasChoices(all.get(i));
            for (int number : numbers(all.get(i))) {
                if (last > 0 && (number != last + 1 || choices != hasChoices(all.get(from)))) {
                    return new Run(first, last, end);
                }
                first = last == 0 ? number : first;
                last = number;
                end = i + 1;
            }
            if (last == 0) {
                break;
            }
        }
        return new Run(first, last, end);
    }

    private static boolean isText(Cues cues, boolean first) {
        return (cues.labels().isEmpty() || first && isFirst(cues))
                && cues.lead().isEmpty()
                && cues.sign().isEmpty()
                && cues.line().layout().cell().isEmpty()
                && !cues.is(Trait.OFF_BODY)
                && !cues.is(Trait.HEADING)
                && !cues.is(Trait.FILL_IN)
                && cues.words().size() >= FEWEST_WORDS
                // "1 ____   2 ____   3 ____" is room for letters.
                && cues.text().chars().anyMatch(Character::isLetter);
    }

    private static boolean hasChoices(Cues cues) {
        return Alternatives.hasBrackets(cues.text());
    }

    /** The numbers before the gaps in a line, "8 ____". */
    static List<Integer> numbers(Cues cues) {
        return gaps(cues).stream().map(gap -> Integer.parseInt(gap.group(1))).toList();
    }

    private static List<MatchResult> gaps(Cues cues) {
        if (!cues.is(Trait.GAP) && !hasChoices(cues)) {
            return List.of();
        }
        Segment segment = cues.piece().segment();
        Matcher matcher = GAP.matcher(cues.line().text()).region(segment.from(), segment.to());
        List<MatchResult> gaps = new ArrayList<>();
        while (matcher.find()) {
            gaps.add(matcher.toMatchResult());
        }
        return gaps;
    }

    /** It goes on counting from the questions above, or begins with 1 below a heading, and no question has one of its numbers. */
    private static boolean isOnItsOwn(List<Cues> all, int from, Run run) {
        int above = 0;
        for (int i = from - 1; i >= 0 && above == 0; i--) {
            Cues cues = all.get(i);
            boolean head = cues.is(Trait.SECTION_WORD) || cues.is(Trait.HEADING) || cues.is(Trait.BOLD);
            Optional<Label> number = cues.number();
            if (number.isPresent() && !cues.is(Trait.OFF_BODY)) {
                above = last(number.get());
            } else if (head && run.first() == 1 && i < from - 1) {
                break;
            }
        }
        // Words to choose from stand for the question that asks for them.
        Cues before = all.get(Math.max(0, from - 1));
        boolean bank = before.line().layout().cell().isPresent() || BankWords.isWords(before.text());
        boolean counts = !bank && above == run.first() - 1 && (above > 0 || run.first() == 1);
        return counts && !isAskedBelow(all, run);
    }

    private static int last(Label number) {
        String[] parts = number.printed().split("\\s?[-\u2013]\\s?");
        String digits = parts[parts.length - 1].replaceAll("\\D", "");
        return parts.length > 1 && !digits.isEmpty() ? Integer.parseInt(digits) : number.ordinal();
    }

    /** Numbers of the gaps before lines below are those of questions, which offer something for each gap. */
    private static boolean isAskedBelow(List<Cues> all, Run run) {
        for (int i = run.end(); i < all.size(); i++) {
            Cues cues = all.get(i);
            if (KEY_HEADING.matcher(cues.text()).matches()) {
                return false;
            }
            boolean asked = cues.labels().stream()
                    .anyMatch(label -> label.kind() == Label.Kind.NUMBER
                            && label.ordinal() >= run.first()
                            && label.ordinal() <= run.last());
            if (asked || startsWith(cues, run.first())) {
                return true;
            }
        }
        return false;
    }

    /** A bare number in a cell or before options on one line has no label yet. */
    private static boolean startsWith(Cues cues, int number) {
        return cues.text().matches(number + "(?:[.)]?|[.)]?\\s.*)");
    }

    /** Whether a question is such a text, whose gaps have numbers of their own among the questions. */
    public static boolean isOne(Draft draft) {
        return draft.cues.stream()
                .limit(1)
                .flatMap(cues -> cues.labels().stream())
                .anyMatch(
                        label -> label.shape().equals(SHAPE) && !label.printed().isEmpty());
    }

    /** What a line of such a text says around the numbers of its gaps. */
    public static List<Segment> around(Cues cues) {
        List<MatchResult> gaps = gaps(cues);
        List<Segment> around = new ArrayList<>();
        Segment whole = cues.piece().segment();
        int from = whole.from();
        for (MatchResult gap : gaps) {
            around.add(new Segment(whole.line(), from, gap.start()));
            from = gap.end();
        }
        if (!gaps.isEmpty()) {
            around.add(new Segment(whole.line(), from, whole.to()));
        }
        return around;
    }
}
