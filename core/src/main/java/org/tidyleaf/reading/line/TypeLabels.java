package org.tidyleaf.reading.line;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.wording.Vocabulary;

/** "(True or false)", "[easy]", "(hard, 2 pts)": in brackets how a question is to be answered, how hard it is, what it is worth. */
public final class TypeLabels {

    /** "(Apply)" with a capital is how one has to think; "(apply)" may be a verb to put into its form. */
    private static final String THINKING = "(?-i:(?=\\p{Lu}))" + Vocabulary.ALL.either("thinking");

    private static final Pattern LEVEL = Vocabulary.pattern(Vocabulary.ALL.either("difficulty") + "|" + THINKING);

    public static final Pattern TYPE_OR_DIFFICULTY =
            Vocabulary.pattern("\\s*[(\\[{]\\s*(?:" + Vocabulary.ALL.either("difficulty", "type_head") + "|"
                    + THINKING + "|"
                    + Vocabulary.ALL.either("label") + "\\s*:[^()\\[\\]{}]{1,40})\\s*[)\\]}]\\s*");

    private static final Pattern IN_BRACKETS = Pattern.compile("[(\\[]([^()\\[\\]]{1,60})[)\\]]");

    private TypeLabels() {}

    /** "easy" of "(easy)", "Apply" of "[Apply]"; empty for a bracket that says something else. */
    public static Optional<String> levelIn(String bracket) {
        String inner = bracket.strip().replaceAll("^[(\\[{]\\s*|\\s*[)\\]}]$", "");
        return Optional.of(inner).filter(word -> LEVEL.matcher(word).matches());
    }

    /** "(True or false, 2 pts)", "[short answer | easy]": in one bracket how a question is to be answered, and more said of it. */
    public static boolean isTypeAndPoints(String text) {
        Matcher bracket = IN_BRACKETS.matcher(text.strip());
        if (!bracket.matches()) {
            return false;
        }
        for (String part : bracket.group(1).split("\\s*[,;|\u00b7\u2013]\\s*")) {
            String alone = "(" + part.strip() + ")";
            if (!TYPE_OR_DIFFICULTY.matcher(alone).matches()
                    && PointsFinder.only(alone).isEmpty()) {
                return false;
            }
        }
        return true;
    }
}
