package org.tidyleaf.reading.draft;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.WordBanks;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.wording.GapSigns;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/** "(comb - drone - nectar)" in brackets below a text with as many gaps: the words to fill them with. */
final class BankBelow {

    private static final Pattern BRACKETS = Pattern.compile("\\s*[(\\[](.{5,300})[)\\]]\\s*");
    private static final int FEWEST_GAPS = 3;

    private BankBelow() {}

    static void take(Source source, Draft draft) {
        int last = draft.stem.size() - 1;
        boolean possible = last > 0 && draft.bank.isEmpty() && draft.words.isEmpty() && draft.options.isEmpty();
        Matcher brackets = BRACKETS.matcher(possible ? source.text(draft.stem.get(last)) : "");
        if (!brackets.matches()) {
            return;
        }
        int gaps = 0;
        for (Segment part : draft.stem.subList(0, last)) {
            gaps += GapSigns.count(source.text(part));
        }
        List<String> words = WordBanks.behindColon("words: " + brackets.group(1));
        if (gaps >= FEWEST_GAPS && words.size() >= gaps) {
            draft.bank = words;
            draft.stem.remove(last);
        }
    }
}
