package org.tidyleaf.reading.make;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.reading.block.PairColumns;
import org.tidyleaf.reading.line.ProseMaker;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Segment;

/** Pairs to match: their sides without labels and blanks, and which goes with which. */
final class MatchMaker {

    private static final Pattern SIDE_LABEL = Pattern.compile(
            "\\s*(?:_+\\s*(?<before>[A-Za-z])?\\s*_*\\s+)?(?:(?:[(\\[]?(?<label>\\d{1,2}(?:\\.\\d{1,2}(?=\\s))?|[A-Za-z]|[ivx]{2,4})(?:[.):\\]]\\s*(?:_+\\s*(?<written>[A-Za-z])\\s*_+\\s+|_{2,}\\s*)?|(?<=\\d\\.\\d{1,2})\\s+))|(?<bare>\\d{1,2}|[A-Za-z])\\s+)");

    private static final Pattern BLANK_BEFORE = Pattern.compile(
            "\\s*(?:[-\u2013\u2014]\\s*)?(?:[(\\[]\\s*([A-Za-z]|\\d{1,2}|)\\s*[)\\]]|_{2,})\\s*(?=\\S)");

    /** An example among the pairs may have been taken out. */
    private static final int MOST_MISSING = 2;

    private final ProseMaker prose;

    MatchMaker(ProseMaker prose) {
        this.prose = prose;
    }

    /** One side of the pairs: what is printed before each, its text, and what is written on the blank before it. */
    record Side(List<String> labels, List<Prose> texts, List<String> blanks) {

        /** The same with labels that stand in a column of their own. */
        Side orAside(List<String> others) {
            boolean fit = labels.isEmpty() && others.size() == texts.size();
            return fit
                    ? new Side(others, texts, others.stream().map(label -> "").toList())
                    : this;
        }
    }

    /** Labels in a column of their own. */
    private static List<String> labels(Draft draft, boolean ofLeft) {
        return PairColumns.of(draft.pairs)
                .map(columns -> columns.labels(draft.pairs, ofLeft))
                .orElse(List.of());
    }

    private static List<String> labels(Draft draft, Predicate<Cell> where) {
        return draft.pairs.stream()
                .filter(cues -> cues.line().layout().cell().filter(where).isPresent())
                .map(cues -> cues.text().replaceAll("[().]", ""))
                .toList();
    }

    /** The question that a draft with pairs makes; {@code said} is its key, or empty. */
    Match match(Draft draft, Particulars particulars, String said) {
        List<Segment> left = new ArrayList<>();
        List<Segment> right = new ArrayList<>();
        boolean equals = PairSides.part(draft, left, right);
        if (writtenBefore(left)
                        .filter(all -> all.stream().allMatch(String::isEmpty))
                        .isPresent()
                && side(left).labels().isEmpty()) {
            left = left.stream().map(this::withoutBlank).toList();
        }
        Side lefts = side(left).orAside(labels(draft, true));
        Optional<List<String>> numbered = writtenBefore(right);
        if (numbered.isPresent()) {
            right = right.stream().map(this::withoutBlank).toList();
        }
        Side rights = side(right)
                .orAside(
                        PairSides.hasTermsAbove(draft)
                                ? labels(draft, cell -> cell.column() % 2 == 0)
                                : labels(draft, false));
        List<String> between = PairSides.writtenBetween(draft);
        List<Integer> written = (between.isEmpty() ? lefts.blanks() : between)
                .stream()
                        .map(letter -> PartsMaker.indexOf(rights.labels(), letter))
                        .toList();
        boolean whole = !written.isEmpty() && !written.contains(-1);
        List<Integer> before = numbered.map(numbers -> intoBlanks(numbers, said, lefts.labels()))
                .map(numbers -> lefts.labels().stream()
                        .map(label -> PartsMaker.indexOf(numbers, label))
                        .toList())
                .orElse(List.of(-1));
        List<Integer> key = equals
                ? straight(lefts.texts().size())
                : whole ? written : before.contains(-1) ? PairAnswers.find(said, lefts, rights) : before;
        return new Match(particulars, lefts.texts(), rights.texts(), key);
    }

    /** "2 – 1 – 3" in a list of answers is what goes into the empty brackets of the right side, from above. */
    private static List<String> intoBlanks(List<String> written, String said, List<String> labels) {
        List<String> sequence = List.of(said.strip().split("\\s*[-\u2013,;/]\\s*|\\s+"));
        boolean fits = written.stream().allMatch(String::isEmpty)
                && sequence.size() == written.size()
                && labels.containsAll(sequence);
        return fits ? sequence : written;
    }

    /** "( 2 ) 1000 m": what is written in the brackets before each entry of the right side; empty where all have none. */
    private Optional<List<String>> writtenBefore(List<Segment> right) {
        List<String> written = new ArrayList<>();
        for (Segment segment : right) {
            Matcher blank = BLANK_BEFORE.matcher(prose.raw(segment));
            if (!blank.lookingAt()) {
                return Optional.empty();
            }
            written.add(blank.group(1) == null ? "" : blank.group(1));
        }
        boolean empty = written.stream().allMatch(String::isEmpty);
        return empty || !inOrder(written) && !written.contains("") ? Optional.of(written) : Optional.empty();
    }

    /** 1, 2, 3 or a, b, c are labels and no answers. */
    private static boolean inOrder(List<String> written) {
        boolean digits = written.stream().allMatch(label -> label.matches("\\d{1,2}"));
        for (int i = 1; i < written.size(); i++) {
            boolean next = digits
                    ? Integer.parseInt(written.get(i)) > Integer.parseInt(written.get(i - 1))
                    : written.get(i).compareTo(written.get(i - 1)) > 0;
            if (!next) {
                return false;
            }
        }
        return true;
    }

    private Segment withoutBlank(Segment segment) {
        Matcher blank = BLANK_BEFORE.matcher(prose.raw(segment));
        return blank.lookingAt() ? new Segment(segment.line(), segment.from() + blank.end(), segment.to()) : segment;
    }

    private static List<Integer> straight(int size) {
        return IntStream.range(0, size).boxed().toList();
    }

    /** "3 days", "6 days", "12 days": numbers that do not follow one another are no labels. */
    private static boolean count(List<String> labels) {
        if (!labels.stream().allMatch(label -> label.matches("\\d{1,2}"))) {
            return true;
        }
        List<Integer> numbers = labels.stream().map(Integer::parseInt).sorted().toList();
        return numbers.isEmpty() || numbers.get(numbers.size() - 1) - numbers.get(0) < numbers.size() + MOST_MISSING;
    }

    /** Labels count only where every entry of the side has one. */
    private Side side(List<Segment> segments) {
        List<String> labels = new ArrayList<>();
        List<Segment> cut = new ArrayList<>();
        List<String> blanks = new ArrayList<>();
        for (Segment segment : segments) {
            Matcher matcher = SIDE_LABEL.matcher(prose.raw(segment));
            if (matcher.lookingAt()) {
                labels.add(matcher.group("label") == null ? matcher.group("bare") : matcher.group("label"));
                blanks.add(Stream.of("before", "written")
                        .map(matcher::group)
                        .filter(Objects::nonNull)
                        .findFirst()
                        .orElse(""));
                cut.add(new Segment(segment.line(), segment.from() + matcher.end(), segment.to()));
            }
        }
        boolean all = cut.size() == segments.size() && new HashSet<>(labels).size() == labels.size() && count(labels);
        List<Prose> texts = (all ? cut : segments)
                .stream().map(segment -> prose.text(List.of(segment))).toList();
        return new Side(all ? labels : List.of(), texts, all ? blanks : List.of());
    }
}
