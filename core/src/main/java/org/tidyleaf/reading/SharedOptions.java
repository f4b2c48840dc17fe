package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.Cues.Trait;
import org.tidyleaf.source.Cell;

/**
 * "Questions 14–17. Choose who says so, A–C." with a lettered list of people, and below it numbered statements without options
 * of their own: each statement is a question, and what is listed are the options of all of them.
 */
final class SharedOptions {

    private static final Pattern ENTRY =
            Pattern.compile("[(\\[]?([A-L]|[a-h](?=[.)\\]])|i{1,3}|iv|vi{0,3}|ix|x)[.:)\\]]?(?:\\t|\\s+)(\\S.{0,90})");

    private static final Pattern LETTER_CELL = Pattern.compile("([A-La-h])[.:)]?");

    private static final List<String> NUMERALS = List.of("i", "ii", "iii", "iv", "v", "vi", "vii", "viii", "ix", "x");

    private static final int FEWEST = 3;

    /** Two statements that share a list are no coincidence. */
    private static final int FEWEST_ASKED = 2;

    /** The instruction may have a few lines, and the list a title. */
    private static final int FARTHEST_ABOVE = 5;

    private static final int MOST_TOLD = 3;

    /** Stands for the last number where none is named. */
    private static final int OPEN = Integer.MAX_VALUE;

    private SharedOptions() {}

    /**
     * Where lists of options stand.
     *
     * @param offered the pieces of the lists, in order
     * @param asked the pieces that the statements below them begin with
     */
    record Found(List<Integer> offered, List<Integer> asked) {}

    static Found find(List<Cues> all) {
        List<Integer> offered = new ArrayList<>();
        List<Integer> asked = new ArrayList<>();
        for (int i = 1; i < all.size(); i++) {
            List<Integer> list = list(all, i, false);
            if (list.isEmpty()) {
                continue;
            }
            int below = i + list.size();
            // "For each case below choose one cause." may stand between.
            below += told(all, below);
            int last = below < all.size() ? announced(all, i, number(all.get(below))) : 0;
            boolean open = last == 0 && isForEach(all, i);
            List<Integer> statements = last > 0 || open ? statements(all, below, open ? OPEN : last) : List.of();
            if (statements.size() >= (open ? FEWEST : FEWEST_ASKED)) {
                offered.addAll(list);
                asked.addAll(statements);
            }
            i = below - 1;
        }
        return new Found(offered, asked);
    }

    /** How many lines of directions stand there, up to the end of a sentence; they may wrap. */
    private static int told(List<Cues> all, int from) {
        int end = from;
        while (end < all.size()
                && end - from < MOST_TOLD
                && all.get(end).labels().isEmpty()
                && !all.get(end).is(Trait.QUESTION_MARK)) {
            end++;
        }
        return end > from && all.get(end - 1).is(Trait.ENDS_SENTENCE) ? end - from : 0;
    }

    /** The letter or numeral of an entry of a list and the place where its text begins; empty where the line is none. */
    static Optional<Label> entry(Cues cues) {
        Matcher matcher = ENTRY.matcher(cues.line().text())
                .region(cues.piece().segment().from(), cues.piece().segment().to());
        if (!matcher.matches()) {
            return Optional.empty();
        }
        String printed = matcher.group(1);
        boolean numeral = NUMERALS.contains(printed);
        int ordinal = numeral ? NUMERALS.indexOf(printed) + 1 : Character.toUpperCase(printed.charAt(0)) - 'A' + 1;
        Label.Kind kind = numeral ? Label.Kind.ROMAN : Label.Kind.LETTER;
        return Optional.of(new Label(kind, ordinal, printed, kind.name(), matcher.start(), matcher.start(2)));
    }

    /** The letter that stands alone in the first of two cells; empty where the line is none. */
    private static Optional<Label> letterCell(Cues cues) {
        Matcher matcher = LETTER_CELL.matcher(cues.text());
        boolean alone = matcher.matches()
                && cues.line()
                        .layout()
                        .cell()
                        .filter(cell -> cell.columns() == 2 && cell.column() == 0)
                        .isPresent();
        return alone
                ? Optional.of(new Label(
                        Label.Kind.LETTER,
                        Character.toUpperCase(matcher.group(1).charAt(0)) - 'A' + 1,
                        matcher.group(1),
                        Label.Kind.LETTER.name(),
                        cues.piece().segment().from(),
                        cues.piece().segment().to()))
                : Optional.empty();
    }

    /** The letter or numeral of an entry, before its text or in a cell beside it. */
    static Optional<Label> label(Cues cues) {
        Optional<Label> entry = entry(cues);
        return entry.isPresent() ? entry : letterCell(cues);
    }

    /**
     * Lines, or rows of a table, that letter on from the first; empty where they are too few.
     *
     * @param questions whether what they say may ask
     */
    static List<Integer> list(List<Cues> all, int from, boolean questions) {
        List<Integer> list = new ArrayList<>();
        Optional<Label> first =
                entry(all.get(from)).or(() -> letterCell(all.get(from))).filter(label -> label.ordinal() == 1);
        int expected = 1;
        for (int i = from; first.isPresent() && i < all.size(); i++) {
            int ordinal = expected;
            boolean besideLetter = i > from && isBesideLetter(all.get(i - 1), all.get(i));
            Optional<Label> next = (besideLetter ? Optional.<Label>empty() : label(all.get(i)))
                    .filter(label -> label.ordinal() == ordinal
                            && label.kind() == first.get().kind());
            if (next.isEmpty() && !besideLetter
                    || !questions && all.get(i).is(Trait.QUESTION_MARK)
                    || all.get(i).is(Trait.GAP)) {
                break;
            }
            expected += next.isPresent() ? 1 : 0;
            list.add(i);
        }
        return expected > FEWEST ? list : List.of();
    }

    /** What stands in the second cell, beside a letter alone in the first, or below that in the same cell. */
    private static boolean isBesideLetter(Cues above, Cues cues) {
        Optional<Cell> cell = cues.line().layout().cell().filter(own -> own.columns() == 2 && own.column() == 1);
        return cell.isPresent()
                && (letterCell(above).isPresent()
                        || above.line().layout().cell().equals(cell));
    }

    /** Numbers that count on to the last, with nothing lettered below any of them. */
    private static List<Integer> statements(List<Cues> all, int from, int last) {
        TreeMap<Integer, Integer> statements = new TreeMap<>();
        int more = 0;
        for (int i = from; i < all.size(); i++) {
            Cues cues = all.get(i);
            int number = number(cues);
            boolean next = number > 0 && number <= last && (statements.isEmpty() || number == statements.lastKey() + 1);
            boolean room = cues.is(Trait.WRITING_LINE) || cues.is(Trait.OFF_BODY);
            if (next) {
                statements.put(number, i);
                more = 0;
            } else if (!statements.isEmpty() && entry(cues).isPresent() && statements.lastKey() < last) {
                if (last < OPEN) {
                    return List.of();
                }
                // The first question with options of its own; those above it have none.
                statements.pollLastEntry();
                break;
            } else if (!room && (statements.isEmpty() || !goesOn(cues) || ++more > MOST_TOLD)) {
                break;
            }
        }
        return List.copyOf(statements.values());
    }

    /** "Each question has an assertion and a reason. Choose the right code." above the list, and no number between. */
    private static boolean isForEach(List<Cues> all, int list) {
        for (int i = list - 1; i >= 0 && i >= list - MOST_TOLD; i--) {
            Cues cues = all.get(i);
            if (number(cues) > 0 || cues.is(Trait.GAP) || Vocabulary.ALL.mentions(cues.words(), "match")) {
                return false;
            }
            if (cues.is(Trait.INSTRUCTION_WORD) && Vocabulary.ALL.mentions(cues.words(), "each")) {
                return true;
            }
        }
        return false;
    }

    /** "5. Assertion: …" and below it "Reason: …". */
    private static boolean goesOn(Cues cues) {
        return cues.labels().isEmpty()
                && cues.lead().isEmpty()
                && entry(cues).isEmpty()
                && !cues.is(Trait.SECTION_WORD)
                && !cues.is(Trait.HEADING);
    }

    private static int number(Cues cues) {
        return cues.labels().stream()
                .filter(label -> label.kind() == Label.Kind.NUMBER)
                .map(Label::ordinal)
                .findFirst()
                .orElse(0);
    }

    /** The last number of "Questions 14–17" above it, which names the first, with no number between; 0 where nothing announces it. */
    private static int announced(List<Cues> all, int list, int first) {
        for (int i = list - 1; i >= 0 && i >= list - FARTHEST_ABOVE; i--) {
            if (number(all.get(i)) > 0) {
                return 0;
            }
            Matcher range = TraitFinder.RANGE.matcher(all.get(i).text());
            if (range.matches() && Integer.parseInt(range.group(1)) == first) {
                return Integer.parseInt(range.group(2));
            }
        }
        return 0;
    }
}
