package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.Directions;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Seen;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "<b>1 Complete the sentences.</b>", "<b>2 Choose the correct form.</b>" over lists that begin with 1 each time: bold numbers
 * that count exercises, as "Exercise 1" does where the word is printed.
 */
public final class ExerciseHeads {

    private static final Pattern DIRECTS = Vocabulary.pattern("(?:"
            + String.join(
                    "|",
                    List.of(
                            Vocabulary.ALL.either("instruction"),
                            Vocabulary.ALL.either("group_head"),
                            Vocabulary.ALL.either("type_head"),
                            Vocabulary.ALL.either("match"),
                            Vocabulary.ALL.either("order"),
                            Vocabulary.ALL.either("fill_gaps"),
                            Vocabulary.ALL.either("explain")))
            + ")(?![\\p{L}]).*");

    /** What the shape of such a number begins with; "Q" as all shapes of numbers that head groups do. */
    public static final String SHAPE = "Qbold ";

    /** In words: the name of a part, over its first exercise. */
    private static final int LONGEST_NAME = 4;

    private ExerciseHeads() {}

    /** Gives such numbers the shape of worded ones. */
    static void label(List<Cues> all) {
        Map<String, List<Seen>> series = new TreeMap<>();
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            boolean head = cues.is(Trait.BOLD)
                    && !cues.is(Trait.HEADING)
                    && cues.line().layout().cell().isEmpty()
                    && !cues.is(Trait.OFF_BODY);
            for (Label label : head ? cues.labels() : List.<Label>of()) {
                if (label.kind() == Label.Kind.NUMBER && !Label.isWorded(label.shape())) {
                    series.computeIfAbsent(label.shape(), shape -> new ArrayList<>())
                            .add(new Seen(i, label));
                }
            }
        }
        for (List<Seen> heads : series.values()) {
            if (heads.size() < 2 || !count(heads) || !areOverLists(all, heads)) {
                continue;
            }
            if (direct(all, heads)) {
                heads.forEach(head -> mark(all, head));
            } else if (ask(all, heads)) {
                deepen(all, heads);
            }
        }
    }

    /** "<b>1. When …?</b>" over "1. in spring", "2. in autumn": the numbers below number its options. */
    private static void deepen(List<Cues> all, List<Seen> heads) {
        String shape = heads.get(0).label().shape();
        for (int i = heads.get(0).piece() + 1; i < all.size(); i++) {
            Cues cues = all.get(i);
            if (!cues.is(Trait.BOLD)
                    && cues.labels().stream().anyMatch(label -> label.shape().equals(shape))) {
                all.set(
                        i,
                        cues.withLabels(cues.labels().stream()
                                .map(label -> label.shape().equals(shape) ? label.ofShape(shape + ">") : label)
                                .toList()));
            }
        }
    }

    private static boolean ask(List<Cues> all, List<Seen> heads) {
        long asking = heads.stream()
                .filter(head -> all.get(head.piece()).is(Trait.QUESTION_MARK)
                        || all.get(head.piece()).is(Trait.COLON))
                .count();
        return asking * 3 >= heads.size() * 2;
    }

    private static void mark(List<Cues> all, Seen head) {
        all.set(head.piece(), worded(all.get(head.piece()), head.label()));
        Cues above = all.get(Math.max(0, head.piece() - 1));
        boolean name = above.is(Trait.BOLD)
                && above.is(Trait.SHORT)
                && above.labels().isEmpty()
                && above.words().size() <= LONGEST_NAME
                && above.line().layout().cell().isEmpty();
        if (name) {
            above.traits().add(Trait.PART_NAME);
        }
    }

    private static boolean count(List<Seen> heads) {
        for (int i = 0; i < heads.size(); i++) {
            if (heads.get(i).label().ordinal() != i + 1) {
                return false;
            }
        }
        return true;
    }

    private static boolean direct(List<Cues> all, List<Seen> heads) {
        long directing = heads.stream()
                .filter(head -> directs(all.get(head.piece())
                                .line()
                                .text()
                                .substring(head.label().end()))
                        || directsBelow(all, head.piece()))
                .count();
        return directing * 3 >= heads.size() * 2;
    }

    static boolean directs(String text) {
        return DIRECTS.matcher(text.strip()).matches();
    }

    /** "<b>2 Grammar: the passive</b>" and below it what is to be done. */
    static boolean directsBelow(List<Cues> all, int head) {
        return head + 1 < all.size()
                && all.get(head + 1).labels().isEmpty()
                && !all.get(head).is(Trait.QUESTION_MARK)
                && directs(all.get(head + 1).text());
    }

    /** Below at least two of them numbers in ordinary type begin with 1 and go on with 2. */
    private static boolean areOverLists(List<Cues> all, List<Seen> heads) {
        int lists = 0;
        for (int i = 0; i < heads.size(); i++) {
            int from = heads.get(i).piece();
            int to = i + 1 < heads.size() ? heads.get(i + 1).piece() : all.size();
            lists += isOverList(all, from, to) ? 1 : 0;
        }
        return lists > 1;
    }

    /**
     * Whether numbers in ordinary type begin with 1 and go on with 2 below a head and above the next, and are no steps to put in
     * order.
     */
    public static boolean isOverList(List<Cues> all, int head, int to) {
        List<Cues> below = all.subList(head + 1, to);
        boolean jumbled =
                below.stream().filter(cues -> cues.text().contains(" / ")).count() > 1;
        return has(below, 1) && has(below, 2) && (jumbled || !Directions.asksForOrder(all.get(head)));
    }

    private static boolean has(List<Cues> below, int number) {
        return below.stream()
                .filter(cues -> !cues.is(Trait.BOLD) && !cues.is(Trait.OFF_BODY))
                .filter(cues -> cues.line().layout().cell().isEmpty())
                .flatMap(cues -> cues.labels().stream())
                .anyMatch(label -> label.kind() == Label.Kind.NUMBER
                        && label.ordinal() == number
                        && !Label.isWorded(label.shape()));
    }

    private static Cues worded(Cues cues, Label label) {
        List<Label> labels = new ArrayList<>(cues.labels());
        labels.replaceAll(other -> other.equals(label) ? label.ofShape(SHAPE + label.shape()) : other);
        return cues.withLabels(labels);
    }
}
