package org.tidyleaf.reading.block;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.source.Cell;

/** Tables whose shape alone says that they pair things, or that their cells are to be filled. */
public final class PairTables {

    private static final Pattern BLANK_CELL = Pattern.compile(BlockFinder.TICK.pattern() + "|[A-Za-z]|\\d|[_.\u2026]+");

    /** What lines are drawn between, nothing else. */
    public static final Pattern DOTS = Pattern.compile("[\\s\u2022\u25cf\u25cb\u25e6\u00b7\u2219.oO_\u2026-]*");

    private static final Pattern FIRST_NUMBER = Pattern.compile("[(]?(\\d{1,3})[.)]");
    private static final Pattern PAIR =
            Pattern.compile("\\s*[(]?\\d{1,3}[).]?\\s*[-\u2013\u2014=:\u2192]?\\s*[(]?[A-Za-z][).]?\\s*");

    private static final Pattern BLANK_BEFORE =
            Pattern.compile("(?:_{2,20}|\\.{3,20}|\u2026{1,9}|[(\\[]\\s{0,9}[)\\]]|\u2610)\\s*\\p{L}.*");

    private PairTables() {}

    /** Three columns: what is paired, a box or a blank for a letter, and lettered targets. */
    static boolean isAroundBlanks(List<Cues> all, List<Integer> whole) {
        List<Integer> table = belowNames(all, whole);
        List<Integer> targets =
                table.stream().filter(piece -> cell(all, piece).column() == 2).toList();
        long items =
                table.stream().filter(piece -> cell(all, piece).column() == 0).count();
        boolean lettered = targets.size() >= PairBlocks.FEWEST_PAIRS;
        for (int i = 0; i < targets.size(); i++) {
            String letter = String.valueOf((char) ('A' + i));
            lettered &= all.get(targets.get(i)).text().matches("(?i)[(]?" + letter + "[).:]?\\s+\\S.*");
        }
        return lettered
                && items >= PairBlocks.FEWEST_PAIRS
                && items <= targets.size()
                && table.stream().allMatch(piece -> cell(all, piece).columns() == 3)
                && table.stream()
                        .filter(piece -> cell(all, piece).column() == 1)
                        .allMatch(piece ->
                                BLANK_CELL.matcher(all.get(piece).text()).matches());
    }

    /** Without a first row that has names above the outer columns and nothing above the blanks. */
    private static List<Integer> belowNames(List<Cues> all, List<Integer> table) {
        List<Integer> first =
                table.stream().filter(piece -> cell(all, piece).row() == 0).toList();
        boolean named = first.stream()
                .allMatch(piece -> cell(all, piece).column() != 1
                        && all.get(piece).labels().isEmpty()
                        && all.get(piece).is(Cues.Trait.SHORT));
        return named
                ? table.stream().filter(piece -> cell(all, piece).row() > 0).toList()
                : table;
    }

    /** Between the first and the last column nothing but dots to draw lines between. */
    static boolean isAroundDots(List<Cues> all, List<Integer> table) {
        Set<Integer> lefts = new HashSet<>();
        Set<Integer> rights = new HashSet<>();
        boolean dots = true;
        for (int piece : table) {
            Cell cell = cell(all, piece);
            boolean between = cell.column() > 0 && cell.column() < cell.columns() - 1;
            dots &= cell.columns() > 2
                    && (!between || DOTS.matcher(all.get(piece).text()).matches());
            if (!between) {
                (cell.column() == 0 ? lefts : rights).add(cell.row());
            }
        }
        return dots && lefts.size() >= PairBlocks.FEWEST_PAIRS && rights.size() >= lefts.size();
    }

    /** Two columns, or twice two, and in every row a word beside an empty cell; a row of names may stand above. */
    static boolean isHalfEmpty(List<Cues> all, List<Integer> table) {
        Set<Integer> rows = new HashSet<>();
        int first = hasNames(all, table) ? 1 : 0;
        for (int piece : table) {
            Cell cell = cell(all, piece);
            if (cell.column() % 2 == 1 && isRule(all.get(piece))) {
                continue;
            }
            boolean word = (cell.columns() == 2 || cell.columns() == 2 * 2)
                    && cell.column() % 2 == 0
                    && all.get(piece).is(Cues.Trait.SHORT)
                    && !all.get(piece).has(Label.Kind.BOX);
            if (cell.row() >= first && (!word || !rows.add(cell.row() * cell.columns() + cell.column()))) {
                return false;
            }
        }
        int last =
                table.stream().mapToInt(piece -> cell(all, piece).row()).max().orElse(0);
        int halves = cell(all, table.get(0)).columns() / 2;
        // The last row need not be full.
        return rows.size() >= PairBlocks.FEWEST_PAIRS && rows.size() > (last - first) * halves;
    }

    /** Three columns or more with names above and before, some cells filled, others left to be: a table to go on with. */
    static boolean isPartlyFilled(List<Cues> all, List<Integer> table) {
        int columns = cell(all, table.get(0)).columns();
        Set<Integer> rows = new HashSet<>();
        Set<Integer> named = new HashSet<>();
        int heads = 0;
        int filled = 0;
        for (int piece : table) {
            Cell cell = cell(all, piece);
            Cues cues = all.get(piece);
            boolean tick = BLANK_CELL.matcher(cues.text()).matches();
            if (!cues.is(Cues.Trait.SHORT) || cell.row() > 0 && cell.column() > 0 && tick && !isFigure(cues)) {
                return false;
            }
            rows.add(cell.row());
            heads += cell.row() == 0 && cell.column() > 0 ? 1 : 0;
            filled += cell.row() > 0 && cell.column() > 0 ? 1 : 0;
            if (cell.column() == 0) {
                named.add(cell.row());
            }
        }
        int body = (rows.size() - 1) * (columns - 1);
        boolean framed = columns > 2
                && heads >= columns - 1
                && named.containsAll(rows.stream().filter(row -> row > 0).toList());
        return framed && rows.size() > 2 && filled > 0 && body - filled >= 2;
    }

    private static boolean isFigure(Cues cues) {
        return cues.text().strip().matches("\\d+");
    }

    /** Room to write on and nothing else. */
    private static boolean isRule(Cues cues) {
        return cues.text().codePoints().noneMatch(Character::isLetterOrDigit);
    }

    private static boolean hasNames(List<Cues> all, List<Integer> table) {
        List<Integer> first =
                table.stream().filter(piece -> cell(all, piece).row() == 0).toList();
        return first.size() == cell(all, table.get(0)).columns()
                && first.stream()
                        .allMatch(piece -> all.get(piece).is(Cues.Trait.SHORT)
                                && !isRule(all.get(piece))
                                && !all.get(piece).is(Cues.Trait.ENDS_SENTENCE)
                                && all.get(piece).labels().isEmpty());
    }

    /**
     * Two columns with names or none, numbers that count on against letters that count from the first; a third may say what belongs
     * together.
     */
    static boolean isNumberedAgainstLettered(List<Cues> all, List<Integer> table) {
        int lefts = 0;
        int rights = 0;
        boolean named = !table.isEmpty() && hasNames(all, table);
        int first = table.stream()
                .filter(piece -> !named || cell(all, piece).row() > 0)
                .findFirst()
                .map(piece -> number(all.get(piece).text()))
                .orElse(0);
        for (int piece : table) {
            Cell cell = cell(all, piece);
            String text = all.get(piece).text();
            if (isKey(all, piece) || named && cell.row() == 0) {
                continue;
            }
            if (cell.columns() > 3 || cell.column() > 1) {
                return false;
            }
            int expected = cell.column() == 0 ? first + lefts++ : ++rights;
            String label = cell.column() == 0 ? String.valueOf(expected) : String.valueOf((char) ('a' + expected - 1));
            if (!text.matches("(?i)[(]?" + label + "[.)]\\s*\\S.*")) {
                return false;
            }
        }
        return lefts >= PairBlocks.FEWEST_PAIRS && rights >= lefts;
    }

    /** Two columns: numbers that count on, and beside each a blank for one before what is paired; names may stand above. */
    static boolean isNumberedAgainstBlanks(List<Cues> all, List<Integer> table) {
        int lefts = 0;
        int rights = 0;
        for (int piece : table) {
            Cell cell = cell(all, piece);
            String text = all.get(piece).text();
            boolean left = cell.column() == 0 && number(text) == lefts + 1 && text.matches("\\D?\\d{1,2}[.)]\\s*\\S.*");
            boolean right = cell.column() == 1 && BLANK_BEFORE.matcher(text).matches();
            if (cell.columns() != 2 || cell.row() > 0 && !left && !right) {
                return false;
            }
            lefts += left ? 1 : 0;
            rights += right ? 1 : 0;
        }
        return lefts >= PairBlocks.FEWEST_PAIRS && rights >= lefts;
    }

    private static int number(String text) {
        Matcher matcher = FIRST_NUMBER.matcher(text);
        return matcher.lookingAt() ? Integer.parseInt(matcher.group(1)) : 0;
    }

    /** A cell of a third column that says which letter belongs to a number: "11 – d". */
    static boolean isKey(List<Cues> all, int piece) {
        Cell cell = cell(all, piece);
        return cell.columns() == 3
                && cell.column() == 2
                && PAIR.matcher(all.get(piece).text()).matches();
    }

    /** Letters that count from the first, each in a cell of its own, and in the next one what it letters. */
    static boolean isLetteredTerms(List<Cues> all, List<Integer> table) {
        int letters = 0;
        for (int piece : table) {
            Cell cell = cell(all, piece);
            boolean label = cell.column() % 2 == 0;
            letters += label ? 1 : 0;
            String letter = String.valueOf((char) ('a' + letters - 1));
            boolean fits =
                    cell.columns() % 2 == 0 && (!label || all.get(piece).text().matches("(?i)[(]?" + letter + "[).]?"));
            if (!fits) {
                return false;
            }
        }
        return letters >= PairBlocks.FEWEST_PAIRS && table.size() == 2 * letters;
    }

    private static Cell cell(List<Cues> all, int piece) {
        return all.get(piece).line().layout().cell().orElseThrow();
    }
}
