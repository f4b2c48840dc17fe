package org.tidyleaf.reading;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Prose;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Segment;

/** A question while its lines are gathered. Private to one reading, filled by {@link DraftMaker} alone. */
final class Draft {
    final String id;
    /** As printed; the letter of a part comes behind the number of its question. */
    String number;

    final int section;
    /** The line it begins with, where it has no number and heads a group of its own; else empty. */
    String heading = "";

    final List<Cues> cues = new ArrayList<>();
    final List<Segment> stem = new ArrayList<>();
    final List<OptionDraft> options = new ArrayList<>();
    final List<Announced> keys = new ArrayList<>();
    final List<Announced> models = new ArrayList<>();
    final List<Announced> feedback = new ArrayList<>();
    final List<Announced> feedbackIfRight = new ArrayList<>();
    final List<Announced> feedbackIfWrong = new ArrayList<>();
    final List<Announced> hints = new ArrayList<>();
    final List<Inline.Picture> pictures = new ArrayList<>();
    final List<Cues> pairs = new ArrayList<>();
    final List<Cues> rows = new ArrayList<>();
    /** What goes into each gap, where it is printed gap by gap below the stem. */
    final List<List<String>> gapAnswers = new ArrayList<>();

    /** Whether those were written on the rules in the text. */
    boolean gapsFilled;

    /** What the author noted of it, candidates never see it. */
    final List<String> labels = new ArrayList<>();

    /** Statements below it to judge, without letters or numbers of their own. */
    final List<Draft> statements = new ArrayList<>();

    final List<Cues> cells = new ArrayList<>();
    final List<Cues> words = new ArrayList<>();
    /** The words above it and its neighbours to fill the gaps of all with. */
    List<String> bank = List.of();

    /** Options that it shares with its neighbours. */
    List<OptionDraft> offered = List.of();

    /** For steps to order, the place written before each, or empty. */
    final List<String> ranks = new ArrayList<>();

    /** The place told before the step that comes next, or empty. */
    String place = "";

    Optional<Announced> marginKey = Optional.empty();
    Optional<BigDecimal> points = Optional.empty();

    /** "(2 + 1 + 1 = 4 points)": what each of its parts gets, if it has so many. */
    List<BigDecimal> pointsOfParts = List.of();

    /** "(1 point each)" in its own head: what each of its rows gets. */
    Optional<BigDecimal> pointsOfEach = Optional.empty();

    /** What is said of points behind rules to write on, by line: below lettered lines it may be for one of them. */
    final Map<Integer, BigDecimal> ruledPoints = new TreeMap<>();

    /** Whether its own text says them. */
    boolean pointed;

    /** Whether those are the points of each of its numbered pairs. */
    boolean pointsPerPair;

    /** The words of a "True / False" printed behind the stem; empty where there is none. */
    List<String> judgement = List.of();

    /** Which of the two words is set apart, 0-based. */
    Optional<Integer> judgementMarked = Optional.empty();

    int stimulus = -1;
    boolean keyInColumn;
    /** Whether a cell beside it is left empty, to write in. */
    boolean roomBeside;

    /** The lines printed to write on, by number. */
    final List<Integer> writing = new ArrayList<>();

    /** For a part of a question, what stands above all its parts. */
    final List<Segment> lead = new ArrayList<>();

    boolean inSequence;
    double doubt;

    Draft(String id, String number, int section) {
        this.id = id;
        this.number = number;
        this.section = section;
    }

    /** The points of the whole. */
    Optional<BigDecimal> allPoints() {
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

    int writingLines() {
        return writing.size();
    }

    int firstLine() {
        return cues.get(0).line().number();
    }

    /** One option with the places it stands at and what was printed as its letter. */
    static final class OptionDraft {
        final String label;
        final boolean signed;
        final List<Segment> segments = new ArrayList<>();
        final List<Announced> feedback = new ArrayList<>();

        OptionDraft(String label, boolean signed) {
            this.label = label;
            this.signed = signed;
        }
    }

    /** Text behind an announcing word, with its place. */
    record Announced(String text, Segment segment) {}

    /** All of it in one prose. */
    static Prose join(List<Announced> parts) {
        return Prose.of(String.join(
                " ",
                parts.stream()
                        .map(part -> part.text().strip())
                        .filter(text -> !text.isEmpty())
                        .toList()));
    }
}
