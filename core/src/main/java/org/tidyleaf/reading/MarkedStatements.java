package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.source.Segment;

/** "True (T) or false (F)?" over "( T ) Bees dance.", "(   ) Drones sting.": statements with room for a letter before each. */
final class MarkedStatements {

    private static final Pattern ROOM = Pattern.compile(
            "\\s*(?:[(\\[]\\s*(\\p{L}?)\\s*[)\\]]|_{1,}\\s*(\\p{L}?)\\s*_{1,})\\s*(?=\\p{Lu}|\\d|[\"\u201c])");

    private static final int FEWEST = 2;

    private MarkedStatements() {}

    /** The statements against the two words; empty where the text above names no pair or a letter is of neither. */
    static Optional<Grid> find(Draft draft, Particulars particulars, ProseMaker prose) {
        int first = 0;
        while (first < draft.stem.size() && !room(draft, prose, first).lookingAt()) {
            first++;
        }
        List<Segment> lead = draft.stem.subList(0, first);
        Optional<List<String>> pair = JudgedBy.in(prose.text(lead).plain());
        if (pair.isEmpty() || draft.stem.size() - first < FEWEST || !draft.options.isEmpty()) {
            return Optional.empty();
        }
        List<Prose> rows = new ArrayList<>();
        List<Set<Integer>> key = new ArrayList<>();
        for (int i = first; i < draft.stem.size(); i++) {
            Matcher room = room(draft, prose, i);
            Optional<Set<Integer>> said = room.lookingAt() ? said(room, pair.get()) : Optional.empty();
            if (said.isEmpty()) {
                return Optional.empty();
            }
            Segment whole = draft.stem.get(i);
            rows.add(prose.text(List.of(new Segment(whole.line(), whole.from() + room.end(), whole.to()))));
            key.add(said.get());
        }
        boolean keyed = key.stream().noneMatch(Set::isEmpty);
        List<Prose> columns = pair.get().stream().map(Prose::of).toList();
        return Optional.of(new Grid(particulars.withStem(prose.stem(lead)), columns, rows, keyed ? key : List.of()));
    }

    private static Matcher room(Draft draft, ProseMaker prose, int line) {
        return ROOM.matcher(prose.raw(draft.stem.get(line)));
    }

    /** The place of the word that the letter begins, none where the room is empty; empty where it begins neither. */
    private static Optional<Set<Integer>> said(Matcher room, List<String> pair) {
        String letter = room.group(1) == null ? room.group(2) : room.group(1);
        if (letter == null || letter.isEmpty()) {
            return Optional.of(Set.of());
        }
        for (int i = 0; i < pair.size(); i++) {
            if (pair.get(i).substring(0, 1).toUpperCase(Locale.ROOT).equals(letter.toUpperCase(Locale.ROOT))) {
                return Optional.of(Set.of(i));
            }
        }
        return Optional.empty();
    }
}
