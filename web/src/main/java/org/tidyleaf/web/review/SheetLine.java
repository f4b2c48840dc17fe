package org.tidyleaf.web.review;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Question;
import org.tidyleaf.reading.Entry;
import org.tidyleaf.reading.ReadQuestion;
import org.tidyleaf.reading.Role;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Segment;
import org.tidyleaf.tidying.Tidied;
import org.tidyleaf.web.leaf.OpenLeaf;
import org.tidyleaf.web.page.LineHtml;

/**
 * A line of the source as the sheet typesets it.
 *
 * @param tag the role's sign: "stem", "option", "option-key" for a keyed option, "aside" and so on
 * @param letter the letter in the sign
 * @param words what the sign says, for those who can't see it
 * @param question id of its question, or empty
 * @param indent 0 to 6 steps
 * @param y its place on the spine
 * @param cell its place in a table of the source
 * @param doubtful whether the reader is in doubt about it
 */
record SheetLine(
        int number,
        String html,
        String tag,
        String letter,
        String words,
        String question,
        int indent,
        boolean space,
        boolean centered,
        boolean doubtful,
        boolean snagged,
        int y,
        Optional<Cell> cell) {

    /** Twentieths of a point in one step of the sheet's indent. */
    private static final int STEP = 360;

    private static final int MOST_STEPS = 6;
    private static final double DOUBTFUL = 0.3;

    /** Height of a line's bar on the spine with the space below it, in the drawing's units. */
    static final int PITCH = 8;

    public String sign() {
        return RoleSign.svg(tag, letter);
    }

    /** Its bar on the spine, and its snag's mark there. */
    public String bar() {
        String bar = "<rect class=\"spine-bar spine-bar-" + tag + (doubtful ? " spine-bar-doubt" : "") + "\" x=\""
                + (30 - barWidth() / 2) + "\" y=\"" + (y + 2) + "\" width=\"" + barWidth()
                + "\" height=\"3.4\" rx=\"1\"/>";
        String mark = "<rect class=\"spine-snag\" x=\"52\" y=\"" + y + "\" width=\"7\" height=\"7\" rx=\"2\"/>";
        return snagged ? bar + mark : bar;
    }

    int barWidth() {
        return switch (tag) {
            case "section", "title" -> 34;
            case "stem", "stimulus" -> 26;
            case "aside" -> 8;
            default -> 16;
        };
    }

    /** @param earlier a state of the same leaf: lines whose words have no roles of their own are typeset there already */
    static List<SheetLine> of(OpenLeaf leaf, String figures, Optional<ReviewState> earlier) {
        Tidied tidied = leaf.tidied();
        Set<Integer> keyed = keyedLines(tidied);
        LineHtml html = new LineHtml(leaf.source(), figures);
        Set<Integer> snagged = new HashSet<>();
        tidied.snags().forEach(snag -> snagged.add(snag.line()));
        Optional<ReviewState> known =
                earlier.filter(state -> state.leaf().source().equals(leaf.source()));
        Set<Integer> unlike = linesWithRolesWithin(tidied);
        known.ifPresent(state -> unlike.addAll(linesWithRolesWithin(state.leaf().tidied())));
        List<SheetLine> lines = new ArrayList<>();
        for (Entry entry : tidied.reading().ledger()) {
            int place = lines.size();
            String typeset = known.filter(state -> !unlike.contains(entry.line()))
                    .map(state -> state.lines().get(place).html())
                    .orElseGet(() -> html.html(leaf.source().line(entry.line()), pinned(tidied, entry.line())));
            lines.add(of(leaf.source().line(entry.line()), typeset, tidied, entry, keyed, snagged));
        }
        return List.copyOf(lines);
    }

    private static Set<Integer> linesWithRolesWithin(Tidied tidied) {
        Set<Integer> lines = new HashSet<>();
        tidied.pins().words().keySet().forEach(part -> lines.add(part.line()));
        return lines;
    }

    private static SheetLine of(
            Line line, String html, Tidied tidied, Entry entry, Set<Integer> keyed, Set<Integer> snagged) {
        boolean keyedOption = keyed.contains(entry.line()) && entry.role() == Role.OPTION;
        return new SheetLine(
                entry.line(),
                html,
                keyedOption ? "option-key" : entry.role().label(),
                letter(entry),
                words(entry, keyedOption),
                entry.question() == 0
                        ? ""
                        : tidied.reading()
                                .questions()
                                .get(entry.question() - 1)
                                .question()
                                .id(),
                Math.min(MOST_STEPS, Math.max(0, line.layout().indent() / STEP)),
                line.layout().spaceBefore() > 0 || entry.role() == Role.STEM && !entry.more(),
                line.layout().centered(),
                entry.doubt() >= DOUBTFUL,
                snagged.contains(entry.line()),
                (entry.line() - 1) * PITCH,
                line.layout().cell().filter(place -> place.column() < place.columns()));
    }

    private static Map<Segment, Role> pinned(Tidied tidied, int line) {
        Map<Segment, Role> here = new HashMap<>();
        tidied.pins().words().forEach((part, role) -> {
            if (part.line() == line) {
                here.put(part, role);
            }
        });
        return here;
    }

    private static Set<Integer> keyedLines(Tidied tidied) {
        Map<String, Question> present = new HashMap<>();
        tidied.quiz().questions().forEach(question -> present.put(question.id(), question));
        Set<Integer> lines = new HashSet<>();
        for (ReadQuestion read : tidied.reading().questions()) {
            if (present.get(read.question().id()) instanceof ChoiceQuestion choice) {
                choice.key().stream()
                        .filter(i -> i < read.options().size())
                        .forEach(i -> read.options().get(i).forEach(segment -> lines.add(segment.line())));
            }
        }
        return lines;
    }

    private static String letter(Entry entry) {
        return switch (entry.role()) {
            case TITLE -> "T";
            case SECTION -> "H";
            case INSTRUCTION -> "i";
            case STIMULUS -> "P";
            case STEM -> entry.more() ? "" : "S";
            case OPTION -> entry.more() ? "" : "o";
            case KEY -> "k";
            case FEEDBACK -> "f";
            case HINT -> "h";
            case POINTS -> "n";
            case PAIR -> "=";
            case WORDS -> "w";
            case ROW -> "r";
            default -> "";
        };
    }

    private static String words(Entry entry, boolean keyed) {
        if (entry.role() == Role.ASIDE) {
            return "set aside: " + entry.reason();
        }
        String role = switch (entry.role()) {
            case STIMULUS -> "passage";
            case OPTION -> keyed ? "right option" : "option";
            default -> entry.role().label();
        };
        return entry.more() ? role + ", goes on" : role;
    }
}
