package org.tidyleaf.reading.cue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.tidyleaf.reading.line.BankWords;
import org.tidyleaf.reading.line.LetteredLists;
import org.tidyleaf.reading.model.Blocks;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;

/**
 * "Complete the dialogue with sentences A–E.", a text whose gaps count on, "(1) ____ … (2) ____", and right above or below it as
 * many lettered sentences or more: these go into the gaps.
 */
public final class LetteredBanks {

    private static final int FEWEST_GAPS = 2;

    /** In pieces. */
    private static final int LONGEST_TEXT = 30;

    /** Gaps stand no farther apart, in pieces. */
    private static final int FARTHEST = 4;

    /** More words than that without a gap are no bank. */
    private static final int MOST_LEFT_OVER = 4;

    private static final Pattern SEVERAL_IN_ONE = Pattern.compile("[,;/\u2026]|\\s[\u2013\u2014-]\\s|\\.{3}|\\d");

    private static final Pattern LETTER = Pattern.compile("[A-La-l](?![\\p{L}])");

    private static final Pattern LETTERS = Pattern.compile(
            "[\\s(]*(?:(?:[(\\[]?\\d{1,3}\\s*[.):=\u2013-]?\\s*)?[A-La-l](?:\\s*[,;.|)]+\\s*|\\s+|$)){1,20}");

    private final List<Cues> all;

    private LetteredBanks(List<Cues> all) {
        this.all = all;
    }

    /**
     * A text and its list.
     *
     * @param lead what asks for them, or their own first piece below a heading
     * @param text the pieces of the text
     * @param list those of the list
     * @param gaps the numbers of the gaps
     */
    private record Bank(int lead, List<Integer> text, List<Integer> list, List<Integer> gaps) {}

    /** What the pieces of such texts and lists are, and of what asks for them; all others are left out. */
    public static Map<Integer, Blocks.Kind> find(List<Cues> all) {
        Map<Integer, Blocks.Kind> found = new HashMap<>();
        for (Bank bank : new LetteredBanks(all).banks()) {
            bank.text().forEach(piece -> found.put(piece, Blocks.Kind.GAPPED));
            bank.list().forEach(piece -> found.put(piece, Blocks.Kind.WORDS));
            found.put(bank.lead(), Blocks.Kind.NEW_LEAD);
        }
        return found;
    }

    /** Gives what asks for them the numbers of their gaps, "7–9", where it has none and they do not begin with 1. */
    static void label(List<Cues> all) {
        for (Bank bank : new LetteredBanks(all).banks()) {
            Cues lead = all.get(bank.lead());
            int first = bank.gaps().get(0);
            if (first > 1 && lead.labels().isEmpty()) {
                String printed = first + "\u2013" + bank.gaps().get(bank.gaps().size() - 1);
                all.set(bank.lead(), lead.withLabels(List.of(GappedTexts.label(lead, first, printed))));
            }
        }
    }

    private List<Bank> banks() {
        List<Bank> banks = new ArrayList<>();
        if (all.stream().noneMatch(cues -> cues.is(Trait.GAP))) {
            return banks;
        }
        int at = 0;
        while (at < all.size()) {
            int end = textEnd(at);
            if (end > at) {
                bank(at, end).ifPresent(banks::add);
            }
            at = Math.max(end, at + 1);
        }
        return banks;
    }

    /** "1 B, 2 D", "B D": the words that the letters stand for; empty unless each gap has one. */
    public static List<String> key(String said, Map<String, String> words, int gaps) {
        if (words.isEmpty() || !LETTERS.matcher(said).matches()) {
            return List.of();
        }
        List<String> key = LETTER.matcher(said)
                .results()
                .map(letter -> words.getOrDefault(letter.group().toUpperCase(Locale.ROOT), ""))
                .filter(word -> !word.isEmpty())
                .toList();
        return key.size() == gaps ? key : List.of();
    }

    /** Behind the last piece of a text whose first gap, counted 1 or more, stands in this piece; the piece itself where it is none. */
    private int textEnd(int from) {
        int last = 0;
        int gaps = 0;
        int end = from;
        for (int i = from; i < all.size() && i - from < LONGEST_TEXT && i - end <= FARTHEST && isText(i); i++) {
            for (int number : GappedTexts.numbers(all.get(i))) {
                if (last > 0 && number != last + 1) {
                    return from;
                }
                last = number;
                gaps++;
                end = i + 1;
            }
            if (gaps == 0) {
                return from;
            }
        }
        return gaps >= FEWEST_GAPS ? end : from;
    }

    /** A line of a text has no letter before it, and no number but that of its gap. */
    private boolean isText(int piece) {
        Cues cues = all.get(piece);
        return cues.labels().stream()
                        .allMatch(label -> label.kind() == Label.Kind.NUMBER && label.end() <= label.from())
                && cues.lead().isEmpty()
                && cues.line()
                        .layout()
                        .cell()
                        .filter(cell -> cell.columns() > 1)
                        .isEmpty()
                && !cues.is(Trait.HEADING)
                && !cues.is(Trait.OFF_BODY)
                && !cues.is(Trait.SECTION_WORD);
    }

    private Optional<Bank> bank(int from, int end) {
        List<Integer> gaps = IntStream.range(from, end)
                .boxed()
                .flatMap(piece -> GappedTexts.numbers(all.get(piece)).stream())
                .toList();
        // The text may go on behind its last gap, and begin before its first.
        int below = end;
        while (below < all.size() && below - end < FARTHEST && isText(below) && !isEntry(below)) {
            below++;
        }
        int first = from;
        while (first > 0 && from - first < FARTHEST && isText(first - 1) && !asks(first - 1) && !isEntry(first - 1)) {
            first--;
        }
        List<Integer> listBelow = below < all.size() ? LetteredLists.list(all, below, true) : List.of();
        List<Integer> list = listBelow.isEmpty() ? above(first) : listBelow;
        int words = BankWords.lettered(list.stream().map(all::get).toList()).size();
        int start = list.isEmpty() ? first : Math.min(first, list.get(0));
        if (start == 0 || words < gaps.size() || words > gaps.size() + MOST_LEFT_OVER || areSeveralInOne(list)) {
            return Optional.empty();
        }
        boolean headed =
                all.get(start - 1).is(Trait.SECTION_WORD) || all.get(start - 1).is(Trait.HEADING);
        List<Integer> text = IntStream.range(first, listBelow.isEmpty() ? end : below)
                .boxed()
                .toList();
        return Optional.of(new Bank(headed ? start : start - 1, text, list, gaps));
    }

    private boolean isEntry(int piece) {
        return LetteredLists.label(all.get(piece))
                .filter(label -> label.ordinal() == 1)
                .isPresent();
    }

    /** What is numbered, or says what to do, stands above the text. */
    private boolean asks(int piece) {
        return all.get(piece).is(Trait.INSTRUCTION_WORD)
                || all.get(piece).number().isPresent();
    }

    /** The list that ends right above; empty where none does. */
    private List<Integer> above(int text) {
        for (int i = text - 1; i >= 0 && text - i < LONGEST_TEXT; i--) {
            if (isEntry(i)) {
                List<Integer> list = LetteredLists.list(all, i, true);
                if (!list.isEmpty() && list.get(list.size() - 1) == text - 1) {
                    return list;
                }
            }
        }
        return List.of();
    }

    /** "A. wax … honey" holds the words for both gaps: one of them is to be chosen. */
    private boolean areSeveralInOne(List<Integer> list) {
        return list.stream()
                .map(all::get)
                .allMatch(cues -> SEVERAL_IN_ONE
                        .matcher(LetteredLists.label(cues)
                                .map(label -> cues.line().text().substring(label.end()))
                                .orElse(cues.text()))
                        .find());
    }
}
