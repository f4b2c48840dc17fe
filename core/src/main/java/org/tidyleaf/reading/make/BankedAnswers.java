package org.tidyleaf.reading.make;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;

/** "You saw with a ______. (saw)": a word of the bank in brackets behind its gap is the answer and no part of the text. */
final class BankedAnswers {

    private static final Pattern BRACKET = Pattern.compile("\\s*[(\\[]\\s*([^()\\[\\]]{1,30}?)\\s*[)\\]]");

    private BankedAnswers() {}

    /** The question with its key; empty unless every gap has its word. */
    static Optional<GapMatch> find(List<String> words, Particulars particulars) {
        List<String> key = new ArrayList<>();
        List<Inline> parts = new ArrayList<>();
        for (Inline part : particulars.stem().parts()) {
            if (!(part instanceof Inline.Text text)) {
                parts.add(part);
                continue;
            }
            Matcher bracket = BRACKET.matcher(text.text());
            StringBuilder rest = new StringBuilder();
            while (bracket.find()) {
                String word = bracket.group(1);
                Optional<String> known =
                        words.stream().filter(word::equalsIgnoreCase).findFirst();
                known.ifPresent(key::add);
                bracket.appendReplacement(rest, known.isPresent() ? "" : Matcher.quoteReplacement(bracket.group()));
            }
            bracket.appendTail(rest);
            parts.add(new Inline.Text(rest.toString(), text.emphasis()));
        }
        return !key.isEmpty() && key.size() == particulars.stem().gapCount()
                ? Optional.of(new GapMatch(particulars.withStem(new Prose(parts)), words, key))
                : Optional.empty();
    }
}
