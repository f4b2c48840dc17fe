package org.tidyleaf.tidying;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;

/** Finds words in all questions and replaces them; printed numbers and letters are no text and stay. */
public final class Replacing {

    private Replacing() {}

    /**
     * One text with hits.
     *
     * @param option 0-based, or -1 for the question's own text
     * @param before the text as it is, {@code after} as it would be
     */
    public record Hit(String question, int option, String before, String after, int count) {}

    /**
     * All hits, in order.
     *
     * @param words whether only whole words count
     */
    public static List<Hit> find(Quiz quiz, String wanted, String with, boolean matchCase, boolean words) {
        if (wanted.isEmpty()) {
            return List.of();
        }
        int flags = matchCase ? 0 : Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE;
        String quoted = Pattern.quote(wanted);
        Pattern pattern =
                Pattern.compile(words ? "(?<![\\p{L}\\p{N}])" + quoted + "(?![\\p{L}\\p{N}])" : quoted, flags);
        List<Hit> hits = new ArrayList<>();
        for (Question question : quiz.questions()) {
            hit(question.id(), -1, question.particulars().stem().typed(), pattern, with, hits);
            if (question instanceof ChoiceQuestion choice) {
                for (int i = 0; i < choice.options().size(); i++) {
                    hit(question.id(), i, choice.options().get(i).text().typed(), pattern, with, hits);
                }
            }
        }
        return hits;
    }

    private static void hit(String id, int option, String text, Pattern pattern, String with, List<Hit> hits) {
        Matcher matcher = pattern.matcher(text);
        long count = matcher.results().count();
        if (count > 0) {
            String after = pattern.matcher(text).replaceAll(Matcher.quoteReplacement(with));
            hits.add(new Hit(id, option, text, after, (int) count));
        }
    }

    /** What makes the replacements. */
    public static Decision decision(List<Hit> hits) {
        List<Decision> parts = new ArrayList<>();
        for (Hit hit : hits) {
            parts.add(
                    hit.option() < 0
                            ? new Decision.EditStem(hit.question(), hit.after())
                            : new Decision.EditOption(hit.question(), hit.option(), hit.after()));
        }
        return new Decision.Several(parts);
    }
}
