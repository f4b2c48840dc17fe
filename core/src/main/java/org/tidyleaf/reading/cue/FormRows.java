package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Seen;
import org.tidyleaf.source.Cell;

/** "Surname | (1) ______" over "Age | (2) ______": a form to complete, a question a row, whose number stands before its gap. */
public final class FormRows {

    private static final Pattern ROOM =
            Pattern.compile("[(\\[](\\d{1,3})[)\\]]\\s*(?=[^_.\u2026]{0,20}(?:_{3}|\\.{5}|\u2026{2}))");

    private static final int FEWEST = 2;

    private static final int MOST_WORDS = 8;

    private FormRows() {}

    /** Numbers what stands before the rooms of such tables. */
    static void label(List<Cues> all) {
        int at = 0;
        while (at < all.size()) {
            int end = at + 1;
            while (end < all.size()
                    && table(all.get(at)).isPresent()
                    && table(all.get(end)).equals(table(all.get(at)))) {
                end++;
            }
            List<Seen> rows = rows(all, at, end);
            for (Seen row : rows.size() < FEWEST ? List.<Seen>of() : rows) {
                int name = row.piece();
                all.set(name, all.get(name).withLabels(List.of(row.label())));
                all.set(name + 1, all.get(name + 1).withLabels(List.of()));
            }
            at = end;
        }
    }

    /** The rooms of such rows, which go on with what is numbered before them. */
    public static Set<Integer> rooms(List<Cues> all) {
        Set<Integer> rooms = new HashSet<>();
        for (int i = 0; i + 1 < all.size(); i++) {
            boolean numbered = all.get(i).labels().stream()
                    .anyMatch(label -> label.shape().equals(NumberedGaps.SHAPE) && label.end() == label.from());
            if (numbered && areRow(all.get(i), all.get(i + 1))) {
                rooms.add(i + 1);
            }
        }
        return rooms;
    }

    /** Where in its line such a room begins, behind the number of its question; empty where it is none. */
    public static Optional<Integer> start(String number, Cues cues) {
        Matcher room = ROOM.matcher(cues.line().text())
                .region(cues.piece().segment().from(), cues.piece().segment().to())
                .useTransparentBounds(true);
        return table(cues).isPresent() && room.lookingAt() && room.group(1).equals(number)
                ? Optional.of(room.end())
                : Optional.empty();
    }

    /** The names of rows whose numbers count on, each with its number as a label. */
    private static List<Seen> rows(List<Cues> all, int from, int to) {
        List<Seen> rows = new ArrayList<>();
        for (int i = from; i + 1 < to; i++) {
            Cues name = all.get(i);
            Matcher room = ROOM.matcher(all.get(i + 1).text());
            boolean row = areRow(name, all.get(i + 1))
                    && room.lookingAt()
                    && name.labels().isEmpty()
                    && name.lead().isEmpty()
                    && !name.is(Trait.GAP)
                    && name.words().size() <= MOST_WORDS
                    && name.text().chars().anyMatch(Character::isLetter);
            int number = row ? Integer.parseInt(room.group(1)) : 0;
            if (row
                    && (rows.isEmpty()
                            || number == rows.get(rows.size() - 1).label().ordinal() + 1)) {
                int start = name.piece().segment().from();
                rows.add(new Seen(
                        i, new Label(Label.Kind.NUMBER, number, room.group(1), NumberedGaps.SHAPE, start, start)));
            }
        }
        return rows;
    }

    private static boolean areRow(Cues name, Cues room) {
        Optional<Cell> left = name.line().layout().cell().filter(cell -> cell.column() == 0);
        Optional<Cell> right = room.line().layout().cell().filter(cell -> cell.column() == 1);
        return left.isPresent()
                && right.isPresent()
                && left.get().table() == right.get().table()
                && left.get().row() == right.get().row();
    }

    private static Optional<Integer> table(Cues cues) {
        return cues.line().layout().cell().map(Cell::table);
    }
}
