package org.tidyleaf.web.review;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import org.tidyleaf.tidying.Decision;
import org.tidyleaf.web.leaf.MadeDecision;

/**
 * A decision in the history.
 *
 * @param kept how many decisions hold if one goes back to just after it; 0 where it does not hold any more
 */
record HistoryLine(String words, String author, String time, int kept) {

    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH);

    public boolean holds() {
        return kept > 0;
    }

    /** @param latestFirst all decisions ever made; the lines stand in the same order */
    static List<HistoryLine> of(List<MadeDecision> latestFirst) {
        List<MadeDecision> made = new ArrayList<>(latestFirst);
        Collections.reverse(made);
        int[] kept = new int[made.size()];
        Deque<Integer> holding = new ArrayDeque<>();
        Deque<Integer> undone = new ArrayDeque<>();
        for (int i = 0; i < made.size(); i++) {
            Decision decision = made.get(i).decision();
            int fixed = !made.isEmpty() && made.get(0).decision() instanceof Decision.Take ? 1 : 0;
            if (decision instanceof Decision.Undo && holding.size() > fixed) {
                undone.push(holding.pop());
            } else if (decision instanceof Decision.BackTo back) {
                while (holding.size() > Math.max(fixed, back.kept())) {
                    undone.push(holding.pop());
                }
            } else if (decision instanceof Decision.Redo && !undone.isEmpty()) {
                holding.push(undone.pop());
            } else if (!(decision instanceof Decision.Undo) && !(decision instanceof Decision.Redo)) {
                holding.push(i);
                undone.clear();
            }
        }
        int count = holding.size();
        for (int place : holding) {
            kept[place] = count--;
        }
        List<HistoryLine> lines = new ArrayList<>();
        for (int i = made.size() - 1; i >= 0; i--) {
            MadeDecision one = made.get(i);
            String time = TIME.format(one.madeAt().atZone(ZoneId.systemDefault()));
            lines.add(new HistoryLine(ReviewService.capital(one.decision().inWords()), one.author(), time, kept[i]));
        }
        return lines;
    }
}
