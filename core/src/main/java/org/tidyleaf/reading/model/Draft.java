package org.tidyleaf.reading.model;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Prose;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Segment;

/**
 * A question while its lines are gathered. Private to one reading; {@code DraftMaker} and the passes behind it fill its fields in
 * turn, which is why they are open to them.
 */
public final class Draft {
    public final String id;
    /** As printed; the letter of a part comes behind the number of its question. */
    public String number;

    public final int section;
    /** The line it begins with, where it has no number and heads a group of its own; else empty. */
    public String heading = "";

    public final List<Cues> cues = new ArrayList<>();
    public final List<Segment> stem = new ArrayList<>();
    public final List<OptionDraft> options = new ArrayList<>();
    public final List<Announced> keys = new ArrayList<>();
    public final List<Announced> models = new ArrayList<>();
    public final List<Announced> feedback = new ArrayList<>();
    public final List<Announced> feedbackIfRight = new ArrayList<>();
    public final List<Announced> feedbackIfWrong = new ArrayList<>();
    public final List<Announced> hints = new ArrayList<>();
    public final List<Inline.Picture> pictures = new ArrayList<>();
    public final List<Cues> pairs = new ArrayList<>();
    public final List<Cues> rows = new ArrayList<>();
    /** What goes into each gap, where it is printed gap by gap below the stem. */
    public final List<List<String>> gapAnswers = new ArrayList<>();

    /** Whether those were written on the rules in the text. */
    public boolean gapsFilled;

    /** What the author noted of it, candidates never see it. */
    public final List<String> labels = new ArrayList<>();

    /** Statements below it to judge, without letters or numbers of their own. */
    public final List<Draft> statements = new ArrayList<>();

    public final List<Cues> cells = new ArrayList<>();
    public final List<Cues> words = new ArrayList<>();
    /** The words above it and its neighbours to fill the gaps of all with. */
    public List<String> bank = List.of();

    /** Options that it shares with its neighbours. */
    public List<OptionDraft> offered = List.of();

    /** For steps to order, the place written before each, or empty. */
    public final List<String> ranks = new ArrayList<>();

    /** The place told before the step that comes next, or empty. */
    public String place = "";

    public Optional<Announced> marginKey = Optional.empty();
    public Optional<BigDecimal> points = Optional.empty();

    /** "(2 + 1 + 1 = 4 points)": what each of its parts gets, if it has so many. */
    public List<BigDecimal> pointsOfParts = List.of();

    /** "(1 point each)" in its own head: what each of its rows gets. */
    public Optional<BigDecimal> pointsOfEach = Optional.empty();

    /** What is said of points behind rules to write on, by line: below lettered lines it may be for one of them. */
    public final Map<Integer, BigDecimal> ruledPoints = new TreeMap<>();

    /** Whether its own text says them. */
    public boolean pointed;

    /** Whether those are the points of each of its numbered pairs. */
    public boolean pointsPerPair;

    /** The words of a "True / False" printed behind the stem; empty where there is none. */
    public List<String> judgement = List.of();

    /** Which of the two words is set apart, 0-based. */
    public Optional<Integer> judgementMarked = Optional.empty();

    /** For places in the stem with such words behind them, which of these is set apart. */
    public final SortedMap<Integer, Optional<Integer>> judged = new TreeMap<>();

    public int stimulus = -1;
    public boolean keyInColumn;
    /** Whether a cell beside it is left empty, to write in. */
    public boolean roomBeside;

    /** The lines printed to write on, by number. */
    public final List<Integer> writing = new ArrayList<>();

    /** For a part of a question, what stands above all its parts. */
    public final List<Segment> lead = new ArrayList<>();

    public boolean inSequence;
    public double doubt;

    public Draft(String id, String number, int section) {
        this.id = id;
        this.number = number;
        this.section = section;
    }

    /** The points of the whole. */
    public Optional<BigDecimal> allPoints() {
        long below = rows.stream()
                .flatMap(cues -> cues.line().layout().cell().stream())
                .map(Cell::row)
                .filter(row -> row > 0)
                .distinct()
                .count();
        long numbered = pairs.stream()
                .filter(pair -> pair.text().matches("\\d{1,2}[.)]?") || pair.has(Label.Kind.NUMBER))
                .count();
        if (pointsOfEach.isPresent() && !statements.isEmpty()) {
            return pointsOfEach.map(each -> each.multiply(BigDecimal.valueOf(statements.size())));
        }
        if (pointsOfEach.isPresent()) {
            return pointsOfEach
                    .filter(each -> below + numbered > 0)
                    .map(each -> each.multiply(BigDecimal.valueOf(Math.max(below, numbered))));
        }
        return pointsPerPair && numbered > 1 ? points.map(each -> each.multiply(BigDecimal.valueOf(numbered))) : points;
    }

    public int writingLines() {
        return writing.size();
    }

    public int firstLine() {
        return cues.get(0).line().number();
    }

    /** One option with the places it stands at and what was printed as its letter. */
    public static final class OptionDraft {
        public final String label;
        public final boolean signed;
        public final List<Segment> segments = new ArrayList<>();
        public final List<Announced> feedback = new ArrayList<>();

        public OptionDraft(String label, boolean signed) {
            this.label = label;
            this.signed = signed;
        }
    }

    /** Text behind an announcing word, with its place. */
    public record Announced(String text, Segment segment) {}

    /** All of it in one prose. */
    public static Prose join(List<Announced> parts) {
        return Prose.of(String.join(
                " ",
                parts.stream()
                        .map(part -> part.text().strip())
                        .filter(text -> !text.isEmpty())
                        .toList()));
    }
}
