package org.tidyleaf.reading.list;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.FullLines;

/**
 * "1. (a) wax   (b) comb" in a row that may wrap, "1(i) wax" and "1(ii) comb" below each other, "(i) wax" below "Question 1":
 * answers by the letters or numerals of a question's parts. Goes on from line to line; one per list.
 */
final class PartAnswers {

    private static final Pattern ROW = Pattern.compile("[(]?(\\d{1,3})(\\s*[.):]?\\s*)([(]?)(a|i)([.)])\\s+(?=\\S)");

    private static final Pattern NUMERAL =
            Pattern.compile("(?:[(]?(\\d{1,3})\\s*[.):]?\\s*)?([(]?)(i{1,3}|iv|vi{0,3})([.)])\\s+(?=\\S)");

    private static final Pattern NUMBER = Pattern.compile("[(]?\\d{1,3}\\s*[.):]?\\s.*");

    private static final List<String> NUMERALS = List.of("i", "ii", "iii", "iv", "v", "vi", "vii", "viii");
    private static final List<String> LETTERS = List.of("a", "b", "c", "d", "e", "f", "g", "h");

    /** Whose parts are answered: its number, the signs around their names, and how many were answered. */
    private String number = "";

    private List<String> names = LETTERS;
    private String open = "";
    private String close = "";
    private int answered;

    /** Whether the last name stood at the end of its line. */
    private boolean waits;

    /**
     * What a line says.
     *
     * @param before what belongs to the last answer above; empty where nothing does
     * @param answers by number and part
     */
    record Said(String before, List<NumberedAnswers.Answer> answers) {}

    /**
     * The answers of a line; empty where it has none of parts.
     *
     * @param heading what stands above the answers, or empty
     * @param full whether the line above had no room for the next word
     */
    Optional<Said> read(String text, String heading, boolean full) {
        Matcher row = ROW.matcher(text);
        if (row.lookingAt()) {
            begin(row.group(1), row.group(4).equals("a") ? LETTERS : NUMERALS, row.group(3), row.group(5));
            // "1a. wax   1b. comb" has the number before each.
            boolean apart = !(row.group(2) + row.group(3)).isEmpty();
            List<NumberedAnswers.Answer> answers = cut(text.substring(row.end()));
            boolean several = answers.size() > 1 || names == NUMERALS || apart && text.length() > FullLines.LEAST;
            if (!several) {
                number = "";
            }
            return several ? Optional.of(new Said("", answers)) : Optional.empty();
        }
        Matcher numeral = NUMERAL.matcher(text);
        if (numeral.lookingAt() && isNext(numeral, heading)) {
            return Optional.of(new Said("", cut(text.substring(numeral.end()))));
        }
        boolean goesOn = !number.isEmpty() && full && !NUMBER.matcher(text).matches();
        Optional<Matcher> further = goesOn ? next(text, 0) : Optional.empty();
        if (further.isEmpty()) {
            // "(c)" had no room for its answer behind it.
            boolean below = goesOn && waits;
            number = below ? number : "";
            waits = false;
            return below ? Optional.of(new Said(text, List.of())) : Optional.empty();
        }
        String before = text.substring(0, further.get().start()).strip();
        return Optional.of(new Said(before, cut(text.substring(further.get().end()))));
    }

    private void begin(String question, List<String> series, String opening, String closing) {
        number = question;
        names = series;
        open = opening;
        close = closing;
        answered = 0;
    }

    /** "1(ii)" below "1(i)", "(ii)" below "(i)", "(i)" below "Question 1". */
    private boolean isNext(Matcher numeral, String heading) {
        int place = NUMERALS.indexOf(numeral.group(3));
        String named = Optional.ofNullable(numeral.group(1))
                .or(() -> AnswersBelowHeads.number(heading))
                .orElse(number);
        boolean next = named.equals(number) && names == NUMERALS && place == answered;
        if (!next && place == 0 && !named.isEmpty()) {
            begin(named, NUMERALS, numeral.group(2), numeral.group(4));
            next = true;
        }
        return next;
    }

    /** The answers from one on, whose name has been read. */
    private List<NumberedAnswers.Answer> cut(String text) {
        List<NumberedAnswers.Answer> answers = new ArrayList<>();
        int from = 0;
        while (answered < names.size()) {
            String name = number + names.get(answered++);
            Optional<Matcher> next = next(text, from);
            int to = next.map(Matcher::start).orElse(text.length());
            String said = text.substring(from, to).strip();
            answers.add(new NumberedAnswers.Answer(name, said));
            waits = said.isEmpty();
            if (next.isEmpty()) {
                break;
            }
            from = next.get().end();
        }
        return answers;
    }

    private Optional<Matcher> next(String text, int from) {
        if (answered >= names.size()) {
            return Optional.empty();
        }
        Matcher next = Pattern.compile(
                        "(?:^|[,;]?\\s+)" + Pattern.quote(open + names.get(answered) + close) + "(?:\\s+(?=\\S)|\\s*$)")
                .matcher(text);
        return next.find(from) ? Optional.of(next) : Optional.empty();
    }
}
