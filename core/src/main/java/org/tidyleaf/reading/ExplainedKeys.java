package org.tidyleaf.reading;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.source.Segment;

/** "Answer: b. about 63 °C. Wax melts between …": what stands behind the right option on its line explains it. */
final class ExplainedKeys {

    private static final Pattern LETTER_FIRST = Pattern.compile(
            "\\s*[(\\[]?([A-Za-z]|\\d{1,2})(?:[).\\]:-]+|\\s+[-\u2013\u2014:=,;](?=\\s)|(?=\\s+\\())\\s*");

    private static final Pattern BETWEEN = Pattern.compile("[\\s.,;:\u2013\u2014-]*");

    /** "B – A – D – C" names all of them. */
    private static final Pattern ORDER =
            Pattern.compile("\\s*\\w(?:\\s*[-\u2013\u2014>,;\u2192]+\\s*\\w){2,9}\\s*[.]?\\s*");

    /** Fewer words behind the option may be a slip of spelling in it. */
    private static final int FEWEST_WORDS = 3;

    private ExplainedKeys() {}

    /** Moves explanations from the draft's key lines to its feedback. */
    static void split(Draft draft, List<String> labels, List<String> texts) {
        if (draft.options.isEmpty() || draft.keys.isEmpty()) {
            return;
        }
        Draft.Announced line = draft.keys.get(0);
        int end = answerEnd(line.text(), labels, texts);
        if (end < 0
                || ORDER.matcher(line.text()).matches()
                || line.text().substring(end).split("\\s+").length < FEWEST_WORDS) {
            return;
        }
        Segment whole = line.segment();
        int cut = whole.to() - (line.text().length() - end);
        List<Draft.Announced> further = List.copyOf(draft.keys.subList(1, draft.keys.size()));
        draft.keys.clear();
        draft.keys.add(new Draft.Announced(
                line.text().substring(0, end), new Segment(whole.line(), whole.from(), Math.max(whole.from(), cut))));
        draft.feedback.add(new Draft.Announced(
                line.text().substring(end).strip(),
                new Segment(whole.line(), Math.max(whole.from(), cut), whole.to())));
        draft.feedback.addAll(further);
    }

    /** Where the letter, and the option's words if they are repeated, end; -1 where the line begins otherwise. */
    private static int answerEnd(String said, List<String> labels, List<String> texts) {
        Matcher letter = LETTER_FIRST.matcher(said);
        int place = letter.lookingAt() ? placeOf(letter.group(1), labels) : -1;
        if (place < 0) {
            return -1;
        }
        String text = texts.get(place).strip().replaceAll("[.]$", "");
        String rest = said.substring(letter.end());
        int end = letter.end();
        if (rest.regionMatches(true, 0, text, 0, text.length())) {
            end += text.length();
        } else if (AnswerParser.options(said, labels, texts).size() != 1) {
            return -1;
        }
        Matcher between = BETWEEN.matcher(said).region(end, said.length());
        return between.lookingAt() ? between.end() : end;
    }

    private static int placeOf(String letter, List<String> labels) {
        for (int i = 0; i < labels.size(); i++) {
            if (labels.get(i).equalsIgnoreCase(letter)) {
                return i;
            }
        }
        return -1;
    }
}
