package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.Cues.Trait;

/** "Task A – Tick the box.", "Task B – Complete the text.": a word with letters that count on through the paper heads its parts. */
final class CountedHeads {

    private static final Pattern HEAD =
            Pattern.compile("(\\p{Lu}\\p{L}{2,20})\\s([A-H])(?:\\s*[.:)\u2013\u2014-]\\s*(\\S.*)?)?");

    private static final int FEWEST = 3;

    /** Between two of them stand at least so many lines, or they are a list. */
    private static final int APART = 2;

    private CountedHeads() {}

    static void mark(List<Cues> all) {
        Map<String, List<Integer>> series = new TreeMap<>();
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            Matcher head = HEAD.matcher(cues.text());
            boolean possible = cues.is(Trait.SHORT)
                    && cues.line().layout().cell().isEmpty()
                    && !cues.is(Trait.OFF_BODY)
                    && !cues.is(Trait.PASSAGE_HEAD)
                    && head.matches()
                    && !Vocabulary.ALL.has("option", head.group(1))
                    && !Vocabulary.ALL.has("passage_head", head.group(1));
            if (!possible) {
                continue;
            }
            List<Integer> heads = series.computeIfAbsent(head.group(1), word -> new ArrayList<>());
            boolean next = head.group(2).charAt(0) == 'A' + heads.size();
            boolean apart = heads.isEmpty() || i - heads.get(heads.size() - 1) > APART;
            if (next && apart) {
                heads.add(i);
            }
        }
        series.values().stream()
                .filter(heads -> heads.size() >= FEWEST)
                .forEach(heads -> heads.forEach(i -> all.get(i).traits().add(Trait.SECTION_WORD)));
    }
}
