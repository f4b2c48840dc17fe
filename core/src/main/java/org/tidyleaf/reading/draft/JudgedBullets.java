package org.tidyleaf.reading.draft;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.line.ProseMaker;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.source.Segment;

/**
 * "2. True or false?" over "• Bees sleep." and "• Drones sting.": statements under one number without letters of their own
 * are the rows of one grid.
 */
public final class JudgedBullets {

    private static final List<String> LETTERS = List.of("True", "False");

    /** "Drones sting.    F", "Drones sting. (false)", "Drones sting. ____". */
    public static final Pattern JUDGED_BEHIND =
            Pattern.compile("(.*[.!\\p{L}\\d\"\u201d])(?:\\t\\s*|\\s{3,}|\\s+(?=[(\\[_]))"
                    + "(?:[(\\[_]*\\s*(\\p{L}{1,12})\\s*[)\\]_]*|_{2,}|[(\\[]\\s*[)\\]])\\s*");

    private JudgedBullets() {}

    /** Whether statements that are to be judged are rows: nothing tells them apart, and none has room to write below it. */
    static boolean areRows(Draft draft) {
        return !draft.number.isEmpty()
                && draft.writing.isEmpty()
                && draft.options.stream().allMatch(option -> option.label.isEmpty() && option.feedback.isEmpty());
    }

    /** "2) True or false?" over "Bees sleep.   T  F" and "Wax is cut.   T  F", without letters or bullets: makes them statements. */
    static void gather(Draft draft) {
        boolean several = draft.judged.size() > 1
                && draft.judged.firstKey() > 0
                && draft.judged.lastKey() == draft.stem.size() - 1
                && draft.options.isEmpty();
        int from = several ? draft.judged.firstKey() : draft.stem.size();
        List<Segment> rest = new ArrayList<>(draft.stem.subList(from, draft.stem.size()));
        List<Segment> row = new ArrayList<>();
        for (int i = 0; i < rest.size(); i++) {
            row.add(rest.get(i));
            Optional<Integer> marked = draft.judged.get(from + i);
            if (marked != null) {
                Draft statement = new Draft(draft.id, "", draft.section);
                statement.stem.addAll(row);
                statement.judgement = draft.judgement;
                statement.judgementMarked = marked;
                draft.statements.add(statement);
                row.clear();
            }
        }
        if (several) {
            draft.stem.subList(from, draft.stem.size()).clear();
            draft.judgement = List.of();
            draft.judgementMarked = Optional.empty();
        }
    }

    /** The grid of a question's statements; {@code trueAndFalse} are the words where only letters are printed. */
    public static Grid grid(
            Draft draft, Particulars particulars, ProseMaker prose, Supplier<List<String>> trueAndFalse) {
        List<Prose> rows = new ArrayList<>();
        List<Set<Integer>> key = new ArrayList<>();
        for (Draft statement : draft.statements) {
            Optional<Integer> said = said(statement).or(() -> cutBehind(statement, prose));
            rows.add(prose.stem(statement.stem));
            key.add(said.map(Set::of).orElse(Set.of()));
        }
        List<String> printed = draft.statements.get(0).judgement;
        boolean letters = printed.isEmpty() || printed.equals(LETTERS);
        List<String> words = letters ? JudgedBy.in(particulars.stem().plain()).orElse(LETTERS) : printed;
        List<Prose> columns = (words.equals(LETTERS) ? trueAndFalse.get() : words)
                .stream().map(Prose::of).toList();
        boolean keyed = key.stream().noneMatch(Set::isEmpty);
        return new Grid(particulars, columns, rows, keyed ? key : List.of());
    }

    /** "Drones sting.    F": takes the letter off, which says what the statement is. */
    private static Optional<Integer> cutBehind(Draft statement, ProseMaker prose) {
        int last = statement.stem.size() - 1;
        Segment segment = statement.stem.get(last);
        Matcher behind = JUDGED_BEHIND.matcher(prose.raw(segment));
        Optional<Integer> said = behind.matches() && behind.group(2) != null
                ? AnswerParser.judgement(behind.group(2))
                : Optional.empty();
        if (said.isPresent()) {
            statement.stem.set(last, new Segment(segment.line(), segment.from(), segment.from() + behind.end(1)));
        }
        return said;
    }

    /** The place of the word that is marked, or said in the only line of its key. */
    private static Optional<Integer> said(Draft statement) {
        return statement.judgementMarked.or(() -> statement.keys.size() == 1
                ? AnswerParser.leadingJudgement(statement.keys.get(0).text())
                : Optional.empty());
    }
}
