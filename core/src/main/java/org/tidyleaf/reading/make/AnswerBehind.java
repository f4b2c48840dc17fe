package org.tidyleaf.reading.make;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Prose;
import org.tidyleaf.reading.KeySource;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.model.GatheredKey;
import org.tidyleaf.source.Emphasis;

/** The author's copy: behind a question, marked or coloured, stands its answer. */
final class AnswerBehind {

    /** Bold and underlined words at the end of a sentence only stress it. */
    private static final List<Emphasis> SIGNS = List.of(Emphasis.HIGHLIGHT, Emphasis.COLOR);

    private static final Pattern SENTENCE_OVER = Pattern.compile(".*[.?!:][)\\]\"\u201d]?\\s*");

    private AnswerBehind() {}

    /** A question's text, and the answer that stands marked or coloured behind it. */
    record Found(Prose stem, String answer) {

        GatheredKey key() {
            return new GatheredKey(
                    Set.of(),
                    Optional.of(answer),
                    KeySource.FORMATTING,
                    List.of("\u201c" + answer + "\u201d is set apart behind it"),
                    Optional.empty());
        }
    }

    /** "Drones sting. <b>False</b>": nobody stresses that word behind a sentence. */
    private static boolean isJudgement(Inline.Text text) {
        return !text.emphasis().isEmpty() && AnswerParser.judgement(text.text()).isPresent();
    }

    /** "Convert 2.75 m to millimetres.  2750 mm" with the last words marked or coloured: those are the answer. */
    static Optional<Found> find(Prose stem) {
        List<Inline> parts = stem.parts();
        int from = parts.size();
        while (from > 0
                && parts.get(from - 1) instanceof Inline.Text text
                && (text.text().isBlank() || SIGNS.stream().anyMatch(text.emphasis()::contains) || isJudgement(text))) {
            from--;
        }
        Prose asked = new Prose(parts.subList(0, from));
        String answer = new Prose(parts.subList(from, parts.size())).plain();
        // Further ones within the text are answers to its parts.
        boolean alone = asked.parts().stream()
                .noneMatch(part ->
                        part instanceof Inline.Text text && SIGNS.stream().anyMatch(text.emphasis()::contains));
        boolean over = alone && SENTENCE_OVER.matcher(asked.plain()).matches();
        return over && answer.codePoints().anyMatch(Character::isLetterOrDigit)
                ? Optional.of(new Found(asked.cut(0, asked.typed().length()), answer))
                : Optional.empty();
    }
}
