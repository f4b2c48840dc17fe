package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;

/** "Vocabulary          ___ / 10", "Grammar          ___ / 10": names of parts, with a place for what was earned in each. */
final class ScoredHeads {

    private static final Pattern HEAD = Pattern.compile(
            "(?:[A-Z\\d]{1,2}[.)]?\\s+)?\\p{Lu}\\p{L}+(?:\\s\\p{L}+){0,4}:?(?:\\s{3,}|\\s*\\t\\s*)[(\\[]?\\s*(?:_{2,}|\\.{3,}|\\u2026+)\\s*/\\s*\\d{1,3}\\s*\\p{L}{0,6}\\.?\\s*[)\\]]?");

    /** One alone is a place for the whole paper's score. */
    private static final int FEWEST = 2;

    private static final int LONGEST = 200;

    private ScoredHeads() {}

    static void mark(List<Cues> all) {
        List<Integer> heads = IntStream.range(0, all.size())
                .filter(i -> isOne(all.get(i)))
                .boxed()
                .toList();
        for (int head : heads.size() < FEWEST ? List.<Integer>of() : heads) {
            all.get(head).traits().add(Trait.SECTION_WORD);
            all.get(head).traits().remove(Trait.GAP);
        }
    }

    private static boolean isOne(Cues cues) {
        return cues.piece().first()
                && cues.lead().isEmpty()
                && cues.line().layout().cell().isEmpty()
                && !cues.is(Trait.OFF_BODY)
                && !cues.is(Trait.FILL_IN)
                && cues.number().isEmpty()
                && cues.text().length() < LONGEST
                && HEAD.matcher(cues.text()).matches();
    }
}
