package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Cell;

/**
 * "Give two ways." and below it "1 ________" and "2 ________": room for several answers, and no questions. In a table
 * "3) ______" at the end of a row that begins with "3)" is room as well.
 */
public final class NumberedRoom {

    private static final Pattern ROOM =
            Pattern.compile("\\d{1,2}[.)]?\\s+[_.\u2026]{5,}\\s*(?:[(\\[]\\d{1,2}(?:\\s\\p{L}{1,8})?[)\\]]\\s*)?");

    /** "Write your answers here: 1 ___  2 ___  3 ___": where the letters of pairs are to be written. */
    private static final Pattern FOR_LETTERS = Vocabulary.pattern(
            "(?:^|(?<=[.?!]\\s))[^.?!_]{0,40}\\b" + Vocabulary.ALL.either("answer", "list")
                    + "\\b[^.?!_]{0,30}:\\s*1[.):]?\\s*_{2,6}[\\s,;]+2[.):]?\\s*_{2,6}[\\s,;]+3[.):]?\\s*_{2,6}[\\s\\d_,;.):]*$");

    private static final int FEWEST = 2;

    private NumberedRoom() {}

    /** "1 ________": a number before nothing but room. */
    static boolean isRoom(String text) {
        return ROOM.matcher(text).matches();
    }

    /** Takes the numbers off such lines where questions have numbers of another kind. */
    static void unlabel(List<Cues> all) {
        inRows(all);
        all.replaceAll(cues -> {
            boolean only = forLetters(cues.text()).equals(OptionalInt.of(0));
            if (only) {
                cues.traits().add(Cues.Trait.WRITING_LINE);
            }
            return only ? cues.withLabels(List.of()).withoutLead() : cues;
        });
        int from = 0;
        boolean numbered = false;
        while (from < all.size()) {
            int to = from;
            while (to < all.size() && isRoom(all.get(to), to - from + 1)) {
                to++;
            }
            for (int i = from; numbered && i < to && to - from >= FEWEST; i++) {
                all.set(i, all.get(i).withLabels(List.of()));
            }
            numbered |= from == to
                    && all.get(from)
                            .number()
                            .filter(label -> label.shape().length() > 1)
                            .isPresent();
            from = Math.max(to, from + 1);
        }
    }

    /** Where what is said of room for letters begins, with nothing behind it. */
    public static OptionalInt forLetters(String text) {
        if (text.indexOf('_') < 0) {
            return OptionalInt.empty();
        }
        Matcher room = FOR_LETTERS.matcher(text);
        return room.find() ? OptionalInt.of(room.start()) : OptionalInt.empty();
    }

    private static void inRows(List<Cues> all) {
        String number = "";
        int row = -1;
        for (int i = 0; i < all.size(); i++) {
            Optional<Cell> cell = all.get(i).line().layout().cell();
            if (cell.isPresent() && cell.get().column() == 0) {
                number = all.get(i).text().replaceAll("\\W", "");
                row = cell.get().row();
            }
            boolean again = cell.filter(here -> here.column() > 0).isPresent()
                    && cell.get().row() == row
                    && number.matches("\\d{1,3}")
                    && all.get(i).text().matches("[(]?" + number + "[.)]?\\s*_{2,}\\s*");
            if (again) {
                all.get(i).traits().add(Cues.Trait.WRITING_LINE);
                all.get(i).traits().remove(Cues.Trait.GAP);
                all.set(i, all.get(i).withLabels(List.of()));
            }
        }
    }

    private static boolean isRoom(Cues cues, int ordinal) {
        return isRoom(cues.text())
                && cues.number().filter(label -> label.ordinal() == ordinal).isPresent();
    }
}
