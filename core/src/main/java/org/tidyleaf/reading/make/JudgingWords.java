package org.tidyleaf.reading.make;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Section;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.line.JudgementWords;
import org.tidyleaf.reading.line.ProseMaker;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.wording.WordLimitsFinder;
import org.tidyleaf.source.Source;

/** The words that statements of a test are judged by, and where it says so. */
final class JudgingWords {

    /** "State true or false: bees sleep." */
    private static final Pattern ASKED_TO_JUDGE = Pattern.compile("([^:?]{6,45}[:?])\\s+\\p{L}");

    private final Source source;
    private final ProseMaker prose;
    private final List<Section> sections;
    private List<String> trueAndFalse = List.of();

    JudgingWords(Source source, ProseMaker prose, List<Section> sections) {
        this.source = source;
        this.prose = prose;
        this.sections = sections;
    }

    List<String> trueAndFalse() {
        if (trueAndFalse.isEmpty()) {
            trueAndFalse = JudgementWords.of(source);
        }
        return trueAndFalse;
    }

    /** The pair that a word is one of, "no": of the document's language where several have it. */
    List<String> pairWith(String word) {
        List<List<String>> pairs = JudgedBy.with(word);
        if (pairs.isEmpty() || pairs.size() > 1 && pairs.contains(trueAndFalse())) {
            return trueAndFalse();
        }
        List<List<String>> own = pairs.size() > 1 ? JudgementWords.pairs(source) : List.of();
        return pairs.stream().filter(own::contains).findFirst().orElse(pairs.get(0));
    }

    /** Where only letters are printed, the words are those of the document's language. */
    List<Option> options(List<String> said) {
        List<String> words = said.equals(List.of("True", "False")) ? trueAndFalse() : said;
        return words.stream()
                .map(word -> new Option("", Prose.of(word), Prose.EMPTY))
                .toList();
    }

    /** What the section's heading and its instruction say; empty outside of sections. */
    String says(Draft draft) {
        if (draft.section < 0) {
            return "";
        }
        Section section = sections.get(draft.section);
        return section.title() + " " + section.instructions().plain();
    }

    /** What all parts of its question share; empty where it is none. */
    String lead(Draft draft) {
        return prose.text(draft.lead).plain();
    }

    /** The two words by which the section, or the lead of its parts, says that statements are judged. */
    Optional<List<String>> judgedBy(Draft draft) {
        String stem = prose.text(draft.stem).plain();
        if (asksForWords(stem)) {
            return Optional.empty();
        }
        Matcher asked = ASKED_TO_JUDGE.matcher(stem);
        return JudgedBy.in(says(draft))
                .or(() -> JudgedBy.in(lead(draft)))
                .or(() -> asked.lookingAt() ? JudgedBy.in(asked.group(1)) : Optional.empty());
    }

    /** "Write 60 to 80 words." below statements to judge is none of them. */
    static boolean asksForWords(String stem) {
        return WordLimitsFinder.find(stem).most() > 0;
    }

    /** "R" for Right: 0 or 1; empty where the text is something else. */
    static Optional<Integer> byInitial(String said, List<String> pair) {
        for (int i = 0; i < pair.size(); i++) {
            if (said.strip()
                    .replaceFirst("\\s*[(\u2013-].*", "")
                    .equalsIgnoreCase(pair.get(i).substring(0, 1))) {
                return Optional.of(i);
            }
        }
        return Optional.empty();
    }
}
