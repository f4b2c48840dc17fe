package org.tidyleaf.reading.list;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.KeySource;
import org.tidyleaf.reading.cue.CrosswordClues;
import org.tidyleaf.reading.line.KeyHeadings;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.KeyList;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "Solution: Across 1 smoker, 3 drone; Down 1 queen, 2 hive", in one line or more below the clues of a crossword: numbers that
 * leave some out, in two lists.
 */
final class CrosswordKeys {

    private static final Pattern DIRECTION = Vocabulary.pattern(
            "\\b" + Vocabulary.ALL.either("across", "down") + "\\b\\s*[:.\u2013-]?\\s*(?=[(]?\\d|$)");

    private static final Pattern ANSWER = Pattern.compile(
            "[(]?(\\d{1,2})[.):]?\\s*[\u2013=-]?\\s*(\\p{L}[\\p{L}'\u2019 -]{0,40}?)\\s*(?=[,;.|\\t]|[(]?\\d|$)");

    private CrosswordKeys() {}

    static Optional<KeyList> find(List<Cues> all) {
        int last = -1;
        for (int i = 0; i < all.size(); i++) {
            last = CrosswordClues.isOne(all.get(i)) ? i : last;
        }
        List<KeyList.Item> items = new ArrayList<>();
        Set<Integer> pieces = new HashSet<>();
        String direction = "";
        for (int i = last + 1; last >= 0 && i < all.size(); i++) {
            String text = all.get(i).text();
            Matcher heads = DIRECTION.matcher(text);
            int from = 0;
            boolean found = false;
            while (heads.find()) {
                found |= take(text.substring(from, heads.start()), direction, all.get(i), items);
                direction = text.substring(heads.start(), heads.end()).replaceAll("\\P{L}", "");
                from = heads.end();
                found = true;
            }
            found |= take(text.substring(from), direction, all.get(i), items);
            if (!found && !KeyHeadings.names(text)) {
                return Optional.empty();
            }
            pieces.add(i);
        }
        return items.isEmpty() ? Optional.empty() : Optional.of(new KeyList(items, pieces, KeySource.ANSWER_LIST));
    }

    private static boolean take(String text, String direction, Cues cues, List<KeyList.Item> items) {
        Matcher answer = ANSWER.matcher(direction.isEmpty() ? "" : text);
        boolean any = false;
        while (answer.find()) {
            items.add(new KeyList.Item(
                    direction, answer.group(1), answer.group(2), cues.line().number()));
            any = true;
        }
        return any;
    }
}
