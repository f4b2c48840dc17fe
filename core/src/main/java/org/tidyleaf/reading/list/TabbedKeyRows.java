package org.tidyleaf.reading.list;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A row of numbers and, soon below it, a row of answers, parted by tabs; each row may begin with its name. One per list of answers. */
final class TabbedKeyRows {

    /** A narrow first column wraps its name over further lines. */
    private static final int LAST_ROW_BELOW = 3;

    private String[] numbers = {};
    private int place;

    /**
     * What two rows say together.
     *
     * @param from the place of the row of numbers
     */
    record Answers(List<NumberedAnswers.Answer> answers, int from) {}

    /** Whether the row of numbers that the next rows may answer stands at a place. */
    boolean isOfNumbers(int piece) {
        return numbers.length > 0 && place == piece;
    }

    /** Hears a line; the answers if it is the row below the numbers. */
    Optional<Answers> read(int piece, String text) {
        String[] cells = text.split("\t+");
        if (cells.length < 2) {
            return Optional.empty();
        }
        if (areNumbers(cells)) {
            numbers = cells;
            place = piece;
            return Optional.empty();
        }
        if (numbers.length != cells.length || piece - place > LAST_ROW_BELOW) {
            return Optional.empty();
        }
        List<NumberedAnswers.Answer> answers = new ArrayList<>();
        for (int i = 0; i < cells.length; i++) {
            String number = lastWord(numbers[i]);
            if (isNumber(number)) {
                answers.add(new NumberedAnswers.Answer(number, i == 0 ? lastWord(cells[i]) : cells[i]));
            }
        }
        return Optional.of(new Answers(answers, place));
    }

    private static boolean areNumbers(String[] cells) {
        long count = Stream.of(cells)
                // "PTS: 1" behind an answer is a label.
                .filter(cell -> cell.indexOf(':') < 0 && isNumber(lastWord(cell)))
                .count();
        // "4" and an answer behind it are no row of numbers, whose name stands before them.
        boolean answered = cells.length == 2 && count == 1 && isNumber(lastWord(cells[0]));
        return count > 0 && count >= cells.length - 1 && !answered;
    }

    private static boolean isNumber(String word) {
        return word.matches("\\d{1,3}[a-h]?");
    }

    private static String lastWord(String cell) {
        return cell.strip().replaceAll(".*\\s", "");
    }
}
