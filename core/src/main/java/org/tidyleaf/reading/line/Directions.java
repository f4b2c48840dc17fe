package org.tidyleaf.reading.line;

import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.wording.Vocabulary;

/** What directions ask for: an order, pairs, an explanation, several answers. */
public final class Directions {

    private static final Pattern ORDER = Vocabulary.pattern("\\b" + Vocabulary.ALL.either("order") + "\\b");

    /** What a line of directions begins with. */
    public static final Pattern HEAD =
            Vocabulary.pattern(Vocabulary.ALL.either("directions") + "(?:\\s*\\([^()]{1,24}\\))?\\s*[:.]\\s+(?=\\S)");

    private static final Pattern MATCH = Vocabulary.pattern("\\b" + Vocabulary.ALL.either("match") + "\\b");

    private static final Pattern EXPLAIN =
            Vocabulary.pattern("(?:.*[.:!,]\\s+)?\u00bf?" + Vocabulary.ALL.either("explain") + "\\b.*");

    private static final Pattern SEVERAL = Vocabulary.pattern("\\b" + Vocabulary.ALL.either("several") + "\\b");

    /** "Tick all that apply." above several questions. */
    public static final Pattern SEVERAL_EACH =
            Vocabulary.pattern("\\b" + Vocabulary.ALL.either("several_each") + "\\b");

    /** "Tick (\u2713) all that apply." */
    private static final Pattern SIGN_IN_BRACKETS = Pattern.compile("\\s*[(\\[][\u2713\u2714\u221axX][)\\]]");

    private static final Pattern ASKS = Vocabulary.pattern(
            ".*\\?\\s*(?:[^?.!]{4,60}[.!]\\s*)?|" + Vocabulary.ALL.either("explain", "number", "tell") + "\\b.*");

    /** "Show that …" beside lines that ask. */
    private static final Pattern TASK = Vocabulary.pattern(Vocabulary.ALL.either("task") + "\\b.*");

    private Directions() {}

    public static boolean asksForOrder(Cues cues) {
        return Vocabulary.ALL.mentions(cues.words(), "order")
                && ORDER.matcher(cues.text()).find();
    }

    /** "Ordne nach der Größe" has the word of "Ordne zu" and asks for an order. */
    public static boolean asksToMatch(Cues cues) {
        return Vocabulary.ALL.mentions(cues.words(), "match")
                && MATCH.matcher(cues.text()).find()
                && !asksForOrder(cues);
    }

    /** Whether a text asks for an explanation. */
    public static boolean asksToExplain(String text) {
        return EXPLAIN.matcher(text).matches();
    }

    /** "Which two …", "Tick all that apply". */
    public static boolean asksForSeveral(String stem) {
        return SEVERAL.matcher(SIGN_IN_BRACKETS.matcher(stem).replaceAll("")).find();
    }

    /** Whether a text asks something, or asks for a number, a name or an explanation. */
    public static boolean asksSomething(String said) {
        return ASKS.matcher(said).matches();
    }

    /** Whether a text asks or says what to do. */
    public static boolean asks(String said) {
        return asksSomething(said) || TASK.matcher(said.strip()).matches();
    }
}
