package org.tidyleaf.reading.role;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Habits;
import org.tidyleaf.reading.model.Label;

/**
 * Questions without numbers over bullets, boxes or letters, right below one another: where nothing is numbered, the first line
 * without any sign between one list and the next begins a question, or the heading over the list, where several ask. That the
 * lists are options shows in what most of the lines over them ask.
 */
final class StemsOverLists {

    private static final int FEWEST = 2;

    private final List<Cues> all;
    private final Habits habits;

    /** The styles of headings that ask. */
    private final Set<String> styles;

    private StemsOverLists(List<Cues> all, Habits habits) {
        this.all = all;
        this.habits = habits;
        this.styles = askingStyles();
    }

    /** The places of the first lines of such questions. */
    static Set<Integer> find(List<Cues> all, Habits habits) {
        return habits.numbersStems() ? Set.of() : new StemsOverLists(all, habits).find();
    }

    private Set<Integer> find() {
        List<Integer> stems = new ArrayList<>();
        int asking = 0;
        int above = 0;
        for (int i = 1; i < all.size(); i++) {
            if (beginsList(i)) {
                int stem = first(above, i);
                if (stem >= 0) {
                    stems.add(stem);
                    asking += asks(i) ? 1 : 0;
                }
            }
            above = isListed(i) ? i + 1 : above;
        }
        if (stems.size() < FEWEST || asking * 2 < stems.size()) {
            return Set.of();
        }
        Set<Integer> found = new HashSet<>(stems);
        found.addAll(withoutList(stems));
        return found;
    }

    /** Headings of one style over lists, most of which end as questions. */
    private Set<String> askingStyles() {
        Map<String, Integer> over = new HashMap<>();
        Map<String, Integer> asking = new HashMap<>();
        for (int i = 1; i < all.size(); i++) {
            if (beginsList(i) && all.get(i - 1).is(Trait.HEADING)) {
                String style = style(i - 1);
                over.merge(style, 1, Integer::sum);
                asking.merge(style, all.get(i - 1).is(Trait.QUESTION_MARK) ? 1 : 0, Integer::sum);
            }
        }
        Set<String> found = new HashSet<>();
        over.forEach((style, count) -> {
            if (count >= FEWEST && asking.get(style) * 2 >= count) {
                found.add(style);
            }
        });
        return found;
    }

    private String style(int place) {
        return all.get(place).line().layout().style();
    }

    private boolean beginsList(int place) {
        return isListed(place) && !isListed(place - 1) && isListed(place + 1);
    }

    /** Below such questions others without options: a heading of their style, a line with a gap or room, one set bold as theirs are. */
    private List<Integer> withoutList(List<Integer> stems) {
        boolean bold = stems.stream().allMatch(stem -> all.get(stem).is(Trait.BOLD));
        return IntStream.range(stems.get(0) + 1, all.size())
                .filter(i -> isPlain(i) && !isListed(i + 1))
                .filter(i -> isAskingHead(i)
                        || all.get(i).is(Trait.GAP)
                        || bold && all.get(i).is(Trait.BOLD)
                        || i + 1 < all.size() && all.get(i + 1).is(Trait.WRITING_LINE))
                .boxed()
                .toList();
    }

    /** The first line in bold where one is, else the first that could ask; -1 where none could. */
    private int first(int from, int to) {
        int begin = to;
        while (begin > from && isPlain(begin - 1)) {
            begin--;
        }
        if (begin == to) {
            return -1;
        }
        // The title, and what is told under it, ask nothing.
        while (from == 0 && begin < to - 1 && (begin == 0 || all.get(begin).is(Trait.INSTRUCTION_WORD))) {
            begin++;
        }
        boolean bold = all.get(to - 1).is(Trait.BOLD);
        while (bold && !all.get(begin).is(Trait.BOLD) || isAskingHead(to - 1) && !isAskingHead(begin)) {
            begin++;
        }
        return begin;
    }

    private boolean isListed(int place) {
        if (place < 0 || place >= all.size()) {
            return false;
        }
        Cues cues = all.get(place);
        return (cues.has(Label.Kind.BULLET)
                        || cues.has(Label.Kind.BOX)
                        || habits.optionLabel(cues).isPresent())
                && StemsByLook.isOutsideTables(cues);
    }

    private boolean isAskingHead(int place) {
        return all.get(place).is(Trait.HEADING) && styles.contains(style(place));
    }

    private boolean isPlain(int place) {
        Cues cues = all.get(place);
        return isAskingHead(place) || StemsByLook.isPlain(cues) && !cues.is(Trait.TYPE_HEAD);
    }

    /** Whether the line over a list asks, by itself or by what it offers: words to judge by, or an option that is marked or named as right. */
    private boolean asks(int list) {
        Cues stem = all.get(list - 1);
        if (stem.is(Trait.QUESTION_MARK) || stem.is(Trait.GAP) || stem.is(Trait.BOLD)) {
            return true;
        }
        int end = list;
        boolean marked = false;
        boolean judged = true;
        while (isListed(end)) {
            Cues option = all.get(end);
            marked |= option.sign().isPresent() || option.labels().stream().anyMatch(Label::isTicked);
            judged &= option.is(Trait.JUDGEMENT_WORD);
            end++;
        }
        boolean answered = end < all.size() && all.get(end).announces(Cues.Announces.KEY);
        return marked || judged || answered;
    }
}
