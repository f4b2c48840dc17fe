package org.tidyleaf.reading.make;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.reading.model.GatheredKey;
import org.tidyleaf.reading.wording.Vocabulary;

/** "Match the tool with its use." over "caliper = diameter", "rule = length": the pairs stand where options would. */
final class PairedOptions {

    private static final Pattern MATCH = Vocabulary.pattern("\\b" + Vocabulary.ALL.either("match") + "\\b");
    private static final Pattern PAIR = Pattern.compile("(?s).*?\\S(\\s*(?:=|\u2192|->|=>|::)\\s*)\\S.*");
    private static final int FEWEST = 2;

    private PairedOptions() {}

    /** The pairs with their key; empty where nothing asks to match, or an option is no pair. */
    static Optional<Match> find(Particulars particulars, List<Option> options, GatheredKey key) {
        boolean asked = options.size() >= FEWEST
                && key.chosen().isEmpty()
                && MATCH.matcher(particulars.stem().plain()).find();
        if (!asked) {
            return Optional.empty();
        }
        List<Prose> lefts = new ArrayList<>();
        List<Prose> rights = new ArrayList<>();
        for (Option option : options) {
            String text = option.text().typed();
            Matcher pair = PAIR.matcher(text);
            if (!pair.matches()) {
                return Optional.empty();
            }
            lefts.add(option.text().cut(0, pair.start(1)));
            rights.add(option.text().cut(pair.end(1), text.length()));
        }
        return Optional.of(new Match(
                particulars,
                lefts,
                rights,
                IntStream.range(0, lefts.size()).boxed().toList()));
    }
}
