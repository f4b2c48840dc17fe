package org.tidyleaf.reading.make;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.SingleChoice;
import org.tidyleaf.reading.block.SharedOptions;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.line.ProseMaker;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.model.GatheredKey;

/** A numbered statement as a choice among the options that are listed above it and its neighbours ({@link SharedOptions}). */
final class SharedChoice {

    private SharedChoice() {}

    /** Empty where nothing is listed above, or the key is none of it. */
    static Optional<Question> find(Draft draft, Particulars particulars, GatheredKey key, ProseMaker prose) {
        int gaps = particulars.stem().gapCount();
        if (draft.offered.isEmpty() || !QuestionMaker.isBare(draft) || gaps > 1) {
            return Optional.empty();
        }
        List<Option> options = draft.offered.stream()
                .map(option -> new Option(option.label, prose.text(option.segments), Prose.EMPTY))
                .toList();
        String said = AnswerParser.bare(key.text().orElse(""));
        Set<Integer> chosen = IntStream.range(0, options.size())
                .filter(i -> said.equalsIgnoreCase(options.get(i).label())
                        || said.equalsIgnoreCase(
                                AnswerParser.bare(options.get(i).text().plain())))
                .boxed()
                .collect(Collectors.toSet());
        boolean unknown = !said.isEmpty() && chosen.isEmpty();
        return unknown
                ? Optional.empty()
                : Optional.of(
                        new SingleChoice(particulars.withStem(withoutLastGap(particulars.stem())), options, chosen));
    }

    /** The blank behind a statement is only room for the letter. */
    private static Prose withoutLastGap(Prose stem) {
        List<Inline> parts = new ArrayList<>(stem.parts());
        while (!parts.isEmpty()
                && (parts.get(parts.size() - 1) instanceof Inline.Gap
                        || parts.get(parts.size() - 1) instanceof Inline.Text text
                                && text.text().codePoints().noneMatch(Character::isLetterOrDigit)
                                && parts.size() > 1
                                && parts.get(parts.size() - 2) instanceof Inline.Gap)) {
            parts.remove(parts.size() - 1);
        }
        return new Prose(parts);
    }
}
