package org.tidyleaf.reading.make;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.reading.wording.Words;
import org.tidyleaf.source.Emphasis;

/**
 * "Underline the verbs." above a text, or before one behind a colon: words to be marked. The right ones are named in a
 * key or set apart in the text itself; what sets them apart is taken off, for it would tell the answer.
 */
final class HottextMaker {

    private static final Vocabulary WORDS = Vocabulary.ALL;
    private static final Pattern ASKED =
            Vocabulary.pattern("(?:.{0,80}[.!:,]\\s+)?" + WORDS.either("mark_words") + "\\b.*");
    private static final Pattern BETWEEN_WORDS =
            Vocabulary.pattern("\\s*[,;/\u00b7]\\s*|\\s+" + WORDS.either("and") + "\\s+");

    /** Fewer words than this are no text to look for words in. */
    private static final int SHORTEST_TEXT = 4;

    /** How right words are set apart, the most telling first. */
    private static final List<Emphasis> SIGNS =
            List.of(Emphasis.UNDERLINE, Emphasis.HIGHLIGHT, Emphasis.BOLD, Emphasis.ITALIC, Emphasis.COLOR);

    private HottextMaker() {}

    /**
     * The question whose words are to be marked; empty where nothing asks for that.
     *
     * @param said what a key says, or empty
     * @param heading what the section says; where that asks, only a key that names words of the text convinces
     */
    static Optional<Hottext> find(Draft draft, Particulars particulars, String said, String heading) {
        Prose stem = particulars.stem();
        boolean plain = draft.options.isEmpty() && draft.writingLines() <= 1 && stem.gapCount() == 0;
        if (!plain || !stem.pictures().isEmpty() || !draft.judgement.isEmpty()) {
            return Optional.empty();
        }
        Hottext bare = onLinesOfTheirOwn(new Hottext(particulars, List.of()));
        if (!said.isEmpty() && ASKED.matcher(heading).matches()) {
            Hottext keyed = fromKey(bare, said);
            return keyed.isKeyed() && bare.words().size() >= SHORTEST_TEXT ? Optional.of(keyed) : Optional.empty();
        }
        if (!WORDS.mentions(Words.of(stem.plain()), "mark_words")) {
            return Optional.empty();
        }
        boolean asks = ASKED.matcher(bare.instruction().plain()).matches();
        if (!asks || bare.words().size() < SHORTEST_TEXT) {
            return Optional.empty();
        }
        return Optional.of(said.isEmpty() ? fromText(bare) : fromKey(bare, said));
    }

    /** What is asked, and below it the text, though one stood behind the other. */
    private static Hottext onLinesOfTheirOwn(Hottext whole) {
        String typed = whole.particulars().stem().typed();
        boolean beside = typed.indexOf('\n') < 0 && !whole.instruction().plain().isBlank();
        if (!beside) {
            return whole;
        }
        Prose asked = whole.instruction();
        Prose stem = asked.cut(0, asked.typed().stripTrailing().length())
                .plus(List.of(new Inline.Break()))
                .plus(whole.text().parts());
        return new Hottext(whole.particulars().withStem(stem), List.of());
    }

    private static Hottext fromKey(Hottext bare, String said) {
        List<String> spans = BETWEEN_WORDS
                .splitAsStream(said.replaceAll("[.]$", "").strip())
                .filter(span -> !span.isBlank())
                .toList();
        Hottext keyed = new Hottext(bare.particulars(), spans);
        return keyed.isKeyed() ? keyed : bare;
    }

    private static Hottext fromText(Hottext bare) {
        for (Emphasis sign : SIGNS) {
            List<String> spans = setApart(bare.text(), sign);
            if (!spans.isEmpty()) {
                Prose quiet = bare.particulars().stem().without(Set.of(sign));
                return new Hottext(bare.particulars().withStem(quiet), spans);
            }
        }
        return bare;
    }

    private static List<String> setApart(Prose text, Emphasis sign) {
        List<String> spans = new ArrayList<>();
        boolean open = false;
        for (Inline part : text.parts()) {
            boolean set = part instanceof Inline.Text words && words.emphasis().contains(sign);
            String plain = set ? part.plain().replaceAll("^[^\\p{L}\\p{N}]+|[^\\p{L}\\p{N}]+$", "") : "";
            if (!plain.isEmpty() && open) {
                spans.set(
                        spans.size() - 1,
                        spans.get(spans.size() - 1) + part.plain().stripTrailing());
            } else if (!plain.isEmpty()) {
                spans.add(plain);
            }
            open = set && !part.plain().endsWith(" ");
        }
        return spans;
    }
}
