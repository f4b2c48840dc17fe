package org.tidyleaf.reading.make;

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
import org.tidyleaf.reading.draft.JudgedBullets;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.line.ProseMaker;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.source.Segment;

/** "True (T) or false (F)?" over "( T ) Bees dance.", "(   ) Drones sting.": statements with room for a letter before each. */
final class MarkedStatements {

    private static final Pattern ROOM = Pattern.compile(
            "\\s*(?:[(\\[]\\s*(\\p{L}?)\\s*[)\\]]|_{1,}\\s*(\\p{L}?)\\s*_{1,}|\\.{3,}|\u2026+)\\s*(?=\\p{Lu}|\\d|[\"\u201c])");

    private static final Pattern NUMBER = Pattern.compile("\\s*[(]?(\\d{1,2})[.)]?\\s+(?=[\\p{Lu}\"\u201c])");

    private static final int FEWEST = 2;

    /** In signs. */
    private static final int LONGEST = 400;

    private MarkedStatements() {}

    /** The statements against the two words; empty where the text above names no pair or a letter is of neither. */
    static Optional<Grid> find(Draft draft, Particulars particulars, ProseMaker prose) {
        int first = 0;
        while (first < draft.stem.size() && !room(draft, prose, first).lookingAt()) {
            first++;
        }
        Optional<List<String>> pair = pair(draft, prose, first);
        if (pair.isEmpty()) {
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
        return Optional.of(
                grid(particulars.withStem(lead(draft, prose, first)), pair.get(), rows, keyed ? key : List.of()));
    }

    /** By what the statements from a place on are judged, as the text above says; empty where there are none. */
    private static Optional<List<String>> pair(Draft draft, ProseMaker prose, int first) {
        boolean several = draft.stem.size() - first >= FEWEST && draft.options.isEmpty();
        return several ? JudgedBy.in(prose.text(draft.stem.subList(0, first)).plain()) : Optional.empty();
    }

    private static Prose lead(Draft draft, ProseMaker prose, int first) {
        return prose.stem(draft.stem.subList(0, first));
    }

    private static Grid grid(Particulars particulars, List<String> pair, List<Prose> rows, List<Set<Integer>> key) {
        return new Grid(particulars, pair.stream().map(Prose::of).toList(), rows, key);
    }

    /** "True or false?" over "1 Bees dance. ___" and "2 Drones sting. ___": room behind each, and numbers of their own. */
    static Optional<Grid> numbered(Draft draft, Particulars particulars, ProseMaker prose) {
        int first = 0;
        while (first < draft.stem.size() && !number(draft, prose, first).equals("1")) {
            first++;
        }
        Optional<List<String>> pair = pair(draft, prose, first);
        if (pair.isEmpty()) {
            return Optional.empty();
        }
        List<Prose> rows = new ArrayList<>();
        for (int i = first; i < draft.stem.size(); i++) {
            Segment whole = draft.stem.get(i);
            boolean next = number(draft, prose, i).equals(String.valueOf(i - first + 1));
            if (!next || !draft.writing.contains(whole.line())) {
                return Optional.empty();
            }
            Matcher number = NUMBER.matcher(prose.raw(whole));
            int from = number.lookingAt() ? whole.from() + number.end() : whole.from();
            rows.add(prose.text(List.of(new Segment(whole.line(), from, whole.to()))));
        }
        return Optional.of(grid(particulars.withStem(lead(draft, prose, first)), pair.get(), rows, List.of()));
    }

    /** "True (T) or false (F)?" over "Bees dance.    T" and "Drones sting.    F", or with room behind each. */
    static Optional<Grid> judgedBehind(Draft draft, Particulars particulars, ProseMaker prose) {
        int first = draft.stem.size();
        if (first <= FEWEST) {
            return Optional.empty();
        }
        while (first > 0 && isJudgedBehind(draft, prose, first - 1)) {
            first--;
        }
        Optional<List<String>> pair = first == 0 ? Optional.empty() : pair(draft, prose, first);
        if (pair.isEmpty()) {
            return Optional.empty();
        }
        List<Prose> rows = new ArrayList<>();
        List<Set<Integer>> key = new ArrayList<>();
        for (int i = first; i < draft.stem.size(); i++) {
            Segment whole = draft.stem.get(i);
            Matcher behind = JudgedBullets.JUDGED_BEHIND.matcher(prose.raw(whole));
            boolean written = behind.matches();
            boolean empty = !written || behind.group(2) == null;
            Optional<Integer> said = !empty
                    ? JudgingWords.byInitial(behind.group(2), pair.get())
                            .or(() -> AnswerParser.judgement(behind.group(2)))
                    : Optional.empty();
            if (!empty && said.isEmpty()) {
                return Optional.empty();
            }
            int to = written ? whole.from() + behind.end(1) : whole.to();
            rows.add(prose.text(List.of(new Segment(whole.line(), whole.from(), to))));
            key.add(said.map(Set::of).orElse(Set.of()));
        }
        boolean keyed = key.stream().noneMatch(Set::isEmpty);
        return Optional.of(
                grid(particulars.withStem(lead(draft, prose, first)), pair.get(), rows, keyed ? key : List.of()));
    }

    private static boolean isJudgedBehind(Draft draft, ProseMaker prose, int line) {
        Segment whole = draft.stem.get(line);
        return draft.writing.contains(whole.line())
                || whole.to() - whole.from() < LONGEST
                        && JudgedBullets.JUDGED_BEHIND.matcher(prose.raw(whole)).matches();
    }

    private static String number(Draft draft, ProseMaker prose, int line) {
        Matcher number = NUMBER.matcher(prose.raw(draft.stem.get(line)));
        return number.lookingAt() ? number.group(1) : "";
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
