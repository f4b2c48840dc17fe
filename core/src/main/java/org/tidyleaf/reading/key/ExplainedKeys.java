package org.tidyleaf.reading.key;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/** "Answer: b. about 63 °C. Wax melts between …": what stands behind the right option on its line explains it. */
final class ExplainedKeys {

    private static final Pattern LETTER_FIRST = Pattern.compile(
            "\\s*[(\\[]?([A-Za-z]|\\d{1,2})(?:[).\\]:-]+|\\s+[-\u2013\u2014:=,;](?=\\s)|(?=\\s+\\())\\s*");

    private static final Pattern BETWEEN = Pattern.compile("[\\s.,;:\u2013\u2014-]*");

    /** "False — the workers drive them out", "True. They …". */
    private static final Pattern JUDGEMENT_FIRST = Vocabulary.pattern(
            "\\s*" + Vocabulary.ALL.either("true", "false") + "(?<=\\p{L}{3})\\s*[.,;:\u2013\u2014(-]+\\s*");

    private static final Pattern STATEMENT = Pattern.compile("(?s)[^?_]*\\p{L}[.!]?\\s*");

    private static final Pattern SIGNS_BEHIND = Pattern.compile("[\\s\u2013\u2014(-]+$");

    /** "B – A – D – C" names all of them. */
    private static final Pattern ORDER =
            Pattern.compile("\\s*\\w(?:\\s*[-\u2013\u2014>,;\u2192]+\\s*\\w){2,9}\\s*[.]?\\s*");

    /** Fewer words behind the option may be a slip of spelling in it. */
    private static final int FEWEST_WORDS = 3;

    private ExplainedKeys() {}

    /** Moves explanations from the draft's key lines to its feedback. */
    static void split(Source source, Draft draft, List<String> labels, List<String> texts) {
        if (draft.keys.isEmpty()) {
            return;
        }
        Draft.Announced line = draft.keys.get(0);
        int end = draft.options.isEmpty()
                ? judgementEnd(line.text(), stem(source, draft))
                : answerEnd(line.text(), labels, texts);
        if (end < 0
                || ORDER.matcher(line.text()).matches()
                || line.text().substring(end).split("\\s+").length < (draft.options.isEmpty() ? 1 : FEWEST_WORDS)
                || line.text().substring(end).isBlank()) {
            return;
        }
        Segment whole = line.segment();
        int cut = whole.to() - (line.text().length() - end);
        List<Draft.Announced> further = List.copyOf(draft.keys.subList(1, draft.keys.size()));
        draft.keys.clear();
        draft.keys.add(new Draft.Announced(
                SIGNS_BEHIND.matcher(line.text().substring(0, end)).replaceFirst(""),
                new Segment(whole.line(), whole.from(), Math.max(whole.from(), cut))));
        draft.feedback.add(new Draft.Announced(
                line.text().substring(end).strip(),
                new Segment(whole.line(), Math.max(whole.from(), cut), whole.to())));
        draft.feedback.addAll(further);
    }

    /** Where "False" ends that judges a statement; -1 where what is said is no judgement of one. */
    private static int judgementEnd(String said, String stem) {
        Matcher judgement = JUDGEMENT_FIRST.matcher(said);
        boolean judged = judgement.lookingAt() && STATEMENT.matcher(stem).matches();
        // "True, False, True" judges several statements.
        boolean one = judged
                && AnswerParser.leadingJudgement(said.substring(judgement.end()))
                        .isEmpty();
        return one ? judgement.end() : -1;
    }

    private static String stem(Source source, Draft draft) {
        return String.join(" ", draft.stem.stream().map(source::text).toList());
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
