package org.tidyleaf.reading.line;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Prose;
import org.tidyleaf.reading.wording.GapSigns;
import org.tidyleaf.source.Blanks;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;
import org.tidyleaf.source.Span;

/**
 * Places of a source to prose. What is set alike as a whole loses that emphasis: it belongs to the document's looks, or
 * marks the key, and must not be shown to candidates.
 */
public final class ProseMaker {

    private static final Pattern FORMULA = Pattern.compile("\\\\\\((.+?)\\\\\\)");
    /** An em space, which neither a page nor a file draws together. */
    private static final String CELLS_APART = "\u2003";

    private static final Pattern FILLED = Pattern.compile(GapParser.FILLED);

    private final Source source;

    public ProseMaker(Source source) {
        this.source = source;
    }

    /** Joins the places with single spaces, or breaks where a new paragraph begins; rules and dots become gaps. */
    public Prose stem(List<Segment> segments) {
        return make(segments, true);
    }

    /** The text of a place as it stands. */
    public String raw(Segment segment) {
        return source.text(segment);
    }

    /** The same without gaps. */
    public Prose text(List<Segment> segments) {
        return make(segments, false);
    }

    private Prose make(List<Segment> segments, boolean gaps) {
        List<Inline> parts = new ArrayList<>();
        Set<Emphasis> throughout = throughout(segments);
        int[] gapNumber = {0};
        for (int i = 0; i < segments.size(); i++) {
            if (i > 0) {
                parts.add(between(segments.get(i - 1), segments.get(i), isNewParagraph(segments, i)));
            }
            add(parts, segments.get(i), throughout, gaps, gapNumber);
        }
        // Word processors cut text into runs where nothing changes; neighbours set alike become one again.
        return new Prose(stripped(new ArrayList<>(new Prose(parts).joined().parts())));
    }

    /** The cells of a table's row stay on one line, kept apart; each row begins a new one. */
    private Inline between(Segment above, Segment here, boolean newParagraph) {
        Optional<Cell> left = source.line(above.line()).layout().cell();
        Optional<Cell> right = source.line(here.line()).layout().cell();
        boolean sameTable = left.isPresent()
                && right.isPresent()
                && left.get().columns() > 1
                && left.get().table() == right.get().table()
                && left.get().column() != right.get().column();
        if (!sameTable) {
            return newParagraph ? new Inline.Break() : new Inline.Text(" ", Set.of());
        }
        return left.get().row() == right.get().row() ? new Inline.Text(CELLS_APART, Set.of()) : new Inline.Break();
    }

    private boolean isNewParagraph(List<Segment> segments, int i) {
        if (segments.get(i - 1).line() == segments.get(i).line()) {
            return false;
        }
        String above = source.text(segments.get(i - 1)).strip();
        String here = source.text(segments.get(i)).strip();
        boolean sentenceOver = above.matches("(?s).*[.!?:;][\"'\u201d\u2019)\\]]?");
        return sentenceOver
                // A program's lines stay lines.
                || CodeLines.isCode(above)
                || CodeLines.isCode(here)
                || !here.isEmpty() && !Character.isLowerCase(here.charAt(0));
    }

    private Set<Emphasis> throughout(List<Segment> segments) {
        Set<Emphasis> all = EnumSet.complementOf(EnumSet.of(Emphasis.SUPERSCRIPT, Emphasis.SUBSCRIPT));
        for (Segment segment : segments) {
            Line line = source.line(segment.line());
            all.removeIf(emphasis -> !line.isMostly(emphasis, segment.from(), segment.to()));
        }
        return all;
    }

    private void add(List<Inline> parts, Segment segment, Set<Emphasis> without, boolean gaps, int[] gapNumber) {
        Line line = source.line(segment.line());
        List<MatchResult> filled = gaps ? filled(line, segment) : List.of();
        int at = segment.from();
        while (at < segment.to()) {
            int end = withoutCut(filled, at, Math.min(segment.to(), nextChange(line, at)));
            Set<Emphasis> emphasis = EnumSet.noneOf(Emphasis.class);
            String figure = "";
            for (Span span : line.spans()) {
                if (span.from() <= at && at < span.to()) {
                    emphasis.addAll(span.emphasis());
                    figure = span.figure().isEmpty() ? figure : span.figure();
                }
            }
            emphasis.removeAll(without);
            String text = line.text().substring(at, end);
            if (!figure.isEmpty()) {
                parts.add(new Inline.Picture(figure, alternative(figure)));
            } else {
                addText(parts, text, emphasis, gaps, gapNumber);
            }
            at = end;
        }
    }

    /** Rules with an answer on them, which may be set in another colour than the rule. */
    private static List<MatchResult> filled(Line line, Segment segment) {
        return line.text().indexOf('_', segment.from()) < 0
                ? List.of()
                : FILLED.matcher(line.text())
                        .region(segment.from(), segment.to())
                        .results()
                        .toList();
    }

    /** The same end, but none within such a rule. */
    private static int withoutCut(List<MatchResult> filled, int at, int end) {
        for (MatchResult rule : filled) {
            if (at == rule.start()) {
                return rule.end();
            }
            if (at < rule.start() && end > rule.start()) {
                return rule.start();
            }
        }
        return end;
    }

    private String alternative(String id) {
        return source.figures().stream()
                .filter(figure -> figure.id().equals(id))
                .map(figure -> figure.alternative())
                .findFirst()
                .orElse("");
    }

    private static int nextChange(Line line, int at) {
        int next = line.text().length();
        for (Span span : line.spans()) {
            if (span.from() > at) {
                next = Math.min(next, span.from());
            } else if (span.to() > at) {
                next = Math.min(next, span.to());
            }
        }
        return Math.max(next, at + 1);
    }

    private static void addText(
            List<Inline> parts, String text, Set<Emphasis> emphasis, boolean gaps, int[] gapNumber) {
        Matcher formula = FORMULA.matcher(text);
        int at = 0;
        while (text.indexOf('\\') >= 0 && formula.find()) {
            addPlain(parts, text.substring(at, formula.start()), emphasis, gaps, gapNumber);
            parts.add(new Inline.Formula(formula.group(1)));
            at = formula.end();
        }
        addPlain(parts, text.substring(at), emphasis, gaps, gapNumber);
    }

    private static void addPlain(List<Inline> parts, String text, Set<Emphasis> emphasis, boolean gaps, int[] number) {
        Matcher gap = GapSigns.ANY.matcher(text);
        int at = 0;
        while (gaps && (at > 0 || GapSigns.mayBeIn(text)) && gap.find()) {
            String before = text.substring(at, gap.start());
            addIfAny(parts, withoutGapNumber(before, number[0] + 1), emphasis);
            parts.add(new Inline.Gap(++number[0]));
            at = gap.end();
        }
        addIfAny(parts, text.substring(at), emphasis);
    }

    /** "(2) ______": the second gap's own number is not part of the sentence. */
    private static String withoutGapNumber(String before, int number) {
        String printed = "(" + number + ")";
        return before.stripTrailing().endsWith(printed) ? before.substring(0, before.lastIndexOf(printed)) : before;
    }

    private static void addIfAny(List<Inline> parts, String text, Set<Emphasis> emphasis) {
        String spaced = Blanks.single(text);
        if (!spaced.isEmpty()) {
            parts.add(new Inline.Text(spaced, emphasis));
        }
    }

    private static List<Inline> stripped(List<Inline> parts) {
        if (!parts.isEmpty() && parts.get(0) instanceof Inline.Text first) {
            parts.set(0, new Inline.Text(first.text().stripLeading(), first.emphasis()));
        }
        int last = parts.size() - 1;
        if (last >= 0 && parts.get(last) instanceof Inline.Text end) {
            parts.set(last, new Inline.Text(end.text().stripTrailing(), end.emphasis()));
        }
        parts.removeIf(part -> part instanceof Inline.Text text && text.text().isEmpty());
        return parts;
    }
}
