package org.tidyleaf.reading.habit;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.reading.line.Alternatives;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;

/**
 * "Exercise 2: Circle the right word." and below it "a. Bees have four / six legs.", "b. …": letters right below the heading of a
 * part, each before something that asks by itself, are questions and offer nothing.
 */
final class LetteredQuestions {

    /** Between a heading and its letters stand no more lines than an instruction and some words to use. */
    private static final int FARTHEST = 3;

    private LetteredQuestions() {}

    /**
     * The places of such letters with the shape of their labels.
     *
     * @param heads places of headings besides those that are so by their word
     * @param numbered places that a question's number begins
     */
    static Map<Integer, String> find(List<Cues> all, Set<Integer> heads, Set<Integer> numbered, Set<Integer> inBlocks) {
        Map<Integer, String> found = new LinkedHashMap<>();
        for (int i = 0; i + 1 < all.size(); i++) {
            boolean head = (heads.contains(i) || all.get(i).is(Trait.SECTION_WORD))
                    && !numbered.contains(i)
                    && !all.get(i).text().endsWith("?");
            List<Integer> run = head ? run(all, i, heads, numbered, inBlocks) : List.of();
            boolean judged = !run.isEmpty() && JudgedBy.in(all.get(i).text()).isPresent();
            long asking = run.stream().filter(piece -> asks(all, piece, judged)).count();
            if (run.size() > 1 && asking * 3 >= run.size() * 2) {
                run.forEach(piece ->
                        found.put(piece, letter(all.get(piece), 0).orElseThrow().shape()));
            }
        }
        return found;
    }

    private static List<Integer> run(
            List<Cues> all, int head, Set<Integer> heads, Set<Integer> numbered, Set<Integer> inBlocks) {
        List<Integer> run = new ArrayList<>();
        for (int i = head + 1; i < all.size(); i++) {
            Cues cues = all.get(i);
            boolean ends = numbered.contains(i)
                    || inBlocks.contains(i)
                    || heads.contains(i)
                    || cues.is(Trait.SECTION_WORD)
                    || run.isEmpty() && i - head > FARTHEST;
            if (ends) {
                break;
            }
            Optional<Label> next = letter(cues, run.size() + 1);
            boolean alike = next.isPresent()
                    && cues.line().layout().cell().isEmpty()
                    && (run.isEmpty()
                            || letter(all.get(run.get(0)), 1)
                                    .filter(first ->
                                            first.shape().equals(next.get().shape()))
                                    .isPresent());
            if (alike) {
                run.add(i);
            } else if (letter(cues, 1).isPresent()) {
                // Options of the last one: such letters are known as parts.
                return List.of();
            }
        }
        return run;
    }

    /** The small letter with that place in the alphabet, any for 0. */
    private static Optional<Label> letter(Cues cues, int ordinal) {
        return cues.labels().stream()
                .filter(label -> label.kind() == Label.Kind.LETTER
                        // Options listed on one line have places and no letters.
                        && !label.printed().isEmpty()
                        && Character.isLowerCase(label.printed().charAt(0))
                        && (ordinal == 0 || label.ordinal() == ordinal))
                .findFirst();
    }

    private static boolean asks(List<Cues> all, int piece, boolean judged) {
        Cues cues = all.get(piece);
        boolean room = piece + 1 < all.size() && all.get(piece + 1).is(Trait.WRITING_LINE);
        return room
                || cues.is(Trait.GAP)
                || cues.is(Trait.QUESTION_MARK)
                || judged && cues.is(Trait.ENDS_SENTENCE)
                || Alternatives.hasAlternatives(cues.text())
                || PointsFinder.beside(cues.text()).isPresent();
    }
}
