package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.source.Emphasis;

/**
 * "<i>Teacher: 21 days</i>" below one question after another: a word of the author's own that announces answers. That it does
 * shows in its standing below questions throughout, in a look of its own or deeper than they.
 */
final class LeadsOfTheirOwn {

    private static final Pattern WORD = Pattern.compile("\\s*(\\p{Lu}\\p{L}{2,14}):\\s+(?=\\S)");
    private static final List<Emphasis> LOOKS = List.of(Emphasis.COLOR, Emphasis.ITALIC);
    private static final int FEWEST = 3;

    private LeadsOfTheirOwn() {}

    static void mark(List<Cues> all) {
        Map<String, List<Integer>> places = new TreeMap<>();
        for (int i = 1; i < all.size(); i++) {
            Matcher word = word(all.get(i));
            if (isApart(all.get(i - 1), all.get(i)) && word.lookingAt()) {
                places.computeIfAbsent(word.group(1), w -> new ArrayList<>()).add(i);
            }
        }
        long numbered = all.stream()
                .filter(cues -> cues.has(Label.Kind.NUMBER) && !cues.is(Trait.OFF_BODY))
                .count();
        places.values().stream()
                .filter(found -> found.size() >= FEWEST)
                .filter(found -> found.stream().allMatch(place -> isSetOff(all.get(place - 1), all.get(place)))
                        || found.size() * 4 >= numbered * 3)
                .flatMap(List::stream)
                .forEach(place -> {
                    Matcher word = word(all.get(place));
                    int from = word.lookingAt() ? word.end() : 0;
                    all.set(place, all.get(place).withLead(new Cues.Lead(Cues.Announces.KEY, from)));
                });
    }

    private static Matcher word(Cues cues) {
        return WORD.matcher(cues.line().text())
                .region(cues.piece().segment().from(), cues.piece().segment().to());
    }

    /** Right below a question, and unlike it. */
    private static boolean isApart(Cues above, Cues here) {
        boolean asked = above.has(Label.Kind.NUMBER) || above.has(Label.Kind.LETTER) || above.is(Trait.QUESTION_MARK);
        return asked
                && here.piece().first()
                && here.labels().isEmpty()
                && here.lead().isEmpty()
                && here.line().layout().cell().isEmpty()
                && !here.is(Trait.OFF_BODY)
                && !here.is(Trait.GAP)
                && (isSetOff(above, here)
                        || here.line().layout().indent() > above.line().layout().indent());
    }

    private static boolean isSetOff(Cues above, Cues here) {
        return LOOKS.stream().anyMatch(look -> here.isMostly(look) && !above.isMostly(look));
    }
}
