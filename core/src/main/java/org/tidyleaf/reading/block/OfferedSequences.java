package org.tidyleaf.reading.block;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;

/**
 * "( ) Drones have no sting.", "( ) Queens live for six weeks.", then "The right sequence is" and "a) T – F", "b) F – T": what is to
 * be filled in is offered as options, so that the lines with room are a part of what is asked.
 */
public final class OfferedSequences {

    private static final String PLACE = "(?:\\p{Lu}|\\d{1,2}|[ivx]{1,4})";

    private static final Pattern SEQUENCE =
            Pattern.compile(PLACE + "(?:\\s*[,;\u2013\u2014-]\\s*" + PLACE + "|\\s+" + PLACE + "){1,9}\\s*\\.?");

    private static final String CODE = "[(]?\\p{L}?\\d{0,2}(?<=[\\p{L}\\d])[)]?";

    /** "P-2, Q-1, R-3": what goes with what. */
    private static final Pattern CODES = Pattern.compile(CODE + "\\s*[-\u2013\u2192:=]\\s*" + CODE + "(?:\\s*[,;]?\\s+"
            + CODE + "\\s*[-\u2013\u2192:=]\\s*" + CODE + "){1,9}\\s*\\.?");

    /** "P. Flatness     2. Straight edge", or one side of such a pair. */
    private static final Pattern LISTED_SIDE =
            Pattern.compile("\\s*[(\\[]?(\\p{L}|\\d{1,2}|[ivx]{1,4})[.):\\]]\\s+\\S.*");

    private static final Pattern BETWEEN = Pattern.compile("\\s*[,;\u2013\u2014-]\\s*|\\s+");

    private static final Pattern ROOM = Pattern.compile("\\(\\s*\\)|\\[\\s*]|_{2,}");

    private static final Pattern COUNTED = Pattern.compile("\\s*[(\\[]\\d{1,2}[)\\]].*");

    private static final int FEWEST_OPTIONS = 3;
    private static final int MOST_LEADS = 2;
    private static final int MOST_LINES = 24;

    private OfferedSequences() {}

    /** The places of the lines between what is asked and its options. */
    static List<Integer> find(List<Cues> all) {
        List<Integer> found = new ArrayList<>();
        for (int i = 1; i < all.size(); i++) {
            if (!letter(all.get(i), 1)) {
                continue;
            }
            int places = places(all, i);
            if (areCodes(all, i)) {
                found.addAll(lists(all, i));
            } else if (places > 1) {
                found.addAll(above(all, i, places));
            }
        }
        return found;
    }

    /** Whether an option is nothing but what goes into room after room, "V – F – V", "2-1-3". */
    public static boolean isOne(String text) {
        return SEQUENCE.matcher(text.strip()).matches()
                || CODES.matcher(text.strip()).matches();
    }

    /** How many places each of the options gives; 0 where they are no sequences, or differ. */
    private static int places(List<Cues> all, int first) {
        int places = 0;
        int option = first;
        while (option < all.size() && letter(all.get(option), option - first + 1)) {
            String text = told(all.get(option));
            int own = SEQUENCE.matcher(text).matches() ? BETWEEN.split(text.replaceFirst("\\s*\\.$", "")).length : 0;
            if (own == 0 || places > 0 && own != places) {
                return 0;
            }
            places = own;
            option++;
        }
        return option - first >= FEWEST_OPTIONS ? places : 0;
    }

    private static boolean areCodes(List<Cues> all, int first) {
        int option = first;
        while (option < all.size()
                && letter(all.get(option), option - first + 1)
                && CODES.matcher(told(all.get(option))).matches()) {
            option++;
        }
        return option - first >= FEWEST_OPTIONS;
    }

    /** The two lists above codes, below the number that asks for them. */
    private static List<Integer> lists(List<Cues> all, int options) {
        List<Integer> lines = new ArrayList<>();
        int sides = 0;
        for (int i = options - 1; i > 0 && options - i < MOST_LINES; i--) {
            int at = i;
            Cues cues = all.get(at);
            boolean side = LISTED_SIDE.matcher(cues.text()).matches();
            boolean asks = cues.number()
                    .filter(number -> Label.isWorded(number.shape()) || !goesOn(all.get(at + 1), number))
                    .isPresent();
            if (asks && sides >= FEWEST_OPTIONS) {
                return lines;
            }
            if (cues.is(Trait.SECTION_WORD) || cues.is(Trait.HEADING)) {
                return List.of();
            }
            sides += side ? 1 : 0;
            lines.add(at);
        }
        return List.of();
    }

    /** Whether the next line has the next number, as within a list. */
    static boolean goesOn(Cues below, Label number) {
        return below.number()
                .filter(next -> next.ordinal() == number.ordinal() + 1)
                .isPresent();
    }

    private static List<Integer> above(List<Cues> all, int options, int places) {
        int at = options - 1;
        while (at > 0
                && at >= options - MOST_LEADS
                && all.get(at).labels().isEmpty()
                && !ROOM.matcher(all.get(at).text()).find()) {
            at--;
        }
        int rooms = 0;
        while (at > 0 && options - at < MOST_LINES && isListed(all.get(at))) {
            rooms += ROOM.matcher(all.get(at).text()).find() ? 1 : 0;
            at--;
        }
        List<Integer> lines = new ArrayList<>();
        for (int i = at + 1; rooms == places && all.get(at).number().isPresent() && i < options; i++) {
            lines.add(i);
        }
        return lines;
    }

    /** A line with room, or "(1) smoker" that a number in the room stands for. */
    private static boolean isListed(Cues cues) {
        return !cues.is(Trait.SECTION_WORD)
                && (ROOM.matcher(cues.text()).find()
                        || COUNTED.matcher(cues.text()).matches());
    }

    private static boolean letter(Cues cues, int ordinal) {
        return label(cues).filter(label -> label.ordinal() == ordinal).isPresent();
    }

    private static Optional<Label> label(Cues cues) {
        return cues.labels().stream()
                .filter(label ->
                        label.kind() == Label.Kind.LETTER || label.shape().equals("(9)"))
                .findFirst();
    }

    private static String told(Cues cues) {
        int from = label(cues).map(Label::end).orElse(0);
        return cues.line().text().substring(from, cues.piece().segment().to()).strip();
    }
}
