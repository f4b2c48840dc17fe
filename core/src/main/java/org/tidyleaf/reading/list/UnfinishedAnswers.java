package org.tidyleaf.reading.list;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.FullLines;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.KeyList;

/** "… so that inside and" breaks within a sentence: which lines of a key go on with the answer above, and where the next one begins. */
final class UnfinishedAnswers {

    /** Shorter answers are whole, whatever stands below them. */
    private static final int UNFINISHED = 30;

    /** "… half of the bees.   2. They …" */
    private static final Pattern NEXT_FAR = Pattern.compile("\\s{2,}[(]?(\\d{1,3}|[b-z])[.)]\\s");

    private static final Pattern LABEL_AT_END = Pattern.compile("\\s{2,}[(]?(?:\\d{1,3}|[b-z])[.)]$");

    private final List<Cues> all;

    /** @param all the pieces of the document that the key is in */
    UnfinishedAnswers(List<Cues> all) {
        this.all = all;
    }

    /** An answer to its end, and what stands behind it from the next number or letter on; empty where nothing does. */
    record Longer(String answer, String others) {}

    /**
     * The answer with the line that goes on with it; empty where the line begins something else.
     *
     * @param open the answer above
     * @param text what the line says
     */
    Optional<Longer> with(int piece, KeyList.Item open, String text) {
        boolean possible = all.get(piece).spaceBefore() == 0
                && !text.isEmpty()
                && Character.isLetter(text.charAt(0))
                && !NumberedAnswers.NUMBER.matcher(text).lookingAt();
        return possible ? between(piece, open, text).map(parting -> longer(open, parting + text)) : Optional.empty();
    }

    /** What parts the two in one text. */
    private Optional<String> between(int piece, KeyList.Item open, String text) {
        String above = all.get(piece - 1).line().text();
        boolean fullLine =
                above.length() > FullLines.LEAST || all.get(piece - 1).is(Cues.Trait.FULL);
        // A name, or any noun in German, begins the next line as a sentence does; the end of one shows that it goes on.
        boolean ends = fullLine && text.matches(".*\\p{Ll}[.!]") && open.text().indexOf(' ') > 0;
        boolean listed = fullLine && above.strip().endsWith(",");
        boolean labelled = LABEL_AT_END.matcher(open.text()).find();
        if (!Character.isLowerCase(text.charAt(0)) && !ends && !listed && !labelled) {
            return Optional.empty();
        }
        boolean full = open.text().length() > UNFINISHED || fullLine;
        boolean unfinished = labelled || full && !open.text().matches(".*[.!?]");
        return unfinished ? Optional.of(listed ? ", " : " ") : Optional.empty();
    }

    private static Longer longer(KeyList.Item open, String rest) {
        String text = open.text() + rest;
        Matcher next = NEXT_FAR.matcher(text);
        while (next.find()) {
            if (isNext(open.number(), next.group(1))) {
                return new Longer(text.substring(0, next.start()), text.substring(next.start(1)));
            }
        }
        return new Longer(text, "");
    }

    private static boolean isNext(String number, String next) {
        if (number.isEmpty()) {
            return false;
        }
        char letter = number.charAt(number.length() - 1);
        return Character.isDigit(letter)
                ? number.matches("\\d{1,3}") && next.equals(String.valueOf(Integer.parseInt(number) + 1))
                : next.length() == 1 && next.charAt(0) == letter + 1;
    }
}
