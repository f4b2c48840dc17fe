package org.tidyleaf.intake.common;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.tidyleaf.source.Box;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Layout;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Place;
import org.tidyleaf.source.Span;

/** Gathers the lines of one document while a format walks through it, and numbers them. One per call, not shared. */
public final class LineCollector {
    /** One typed space, in twentieths of a point, in a usual face. */
    private static final int SPACE_WIDTH = 60;

    private static final int MOST_BLANKS = 400;

    /** Room to write, as every format prints it. */
    public static final String RULE = "________";

    /** Fewer underlined blanks stand between underlined words. */
    private static final int NARROWEST_RULE = 3;

    private static final Pattern LABEL = Pattern.compile("\\s*[(]?(?:\\d{1,3}|\\p{L})[.):]?");

    private final List<Line> lines = new ArrayList<>();
    private final StringBuilder text = new StringBuilder();
    private final List<Span> spans = new ArrayList<>();
    private int labelEnd;
    private @Nullable Box box;
    private int emptyBefore;

    /** Begins a line with the label that the word processor prints, which may be empty. */
    public void label(String label) {
        if (!label.isEmpty()) {
            text.append(label).append(' ');
            labelEnd = text.length();
        }
    }

    public void append(String written, Set<Emphasis> emphasis, String color) {
        String part = withoutEndlessBlanks(plain(written));
        int from = text.length();
        text.append(part);
        if (!emphasis.isEmpty() && !part.isEmpty()) {
            spans.add(new Span(from, text.length(), emphasis, color, ""));
        }
    }

    /** A stretch of blanks wider than any page says no more than a page's width of them, and would only keep patterns busy. */
    private String withoutEndlessBlanks(String part) {
        int run = 0;
        while (run < MOST_BLANKS
                && run < text.length()
                && Character.isWhitespace(text.charAt(text.length() - 1 - run))) {
            run++;
        }
        if (run + part.length() <= MOST_BLANKS) {
            return part;
        }
        StringBuilder kept = new StringBuilder(part.length());
        for (int i = 0; i < part.length(); i++) {
            run = Character.isWhitespace(part.charAt(i)) ? run + 1 : 0;
            if (run <= MOST_BLANKS) {
                kept.append(part.charAt(i));
            }
        }
        return kept.toString();
    }

    /** Spaces that must not break are spaces; signs that only say where a line may break are nothing to read. */
    private static String plain(String written) {
        boolean odd = written.chars().anyMatch(c -> c >= 0xA0 && (c <= 0xAD || c >= 0x2000));
        return odd
                ? written.replaceAll("[\u00a0\u2002-\u200a\u202f\u205f]", " ")
                        .replaceAll("[\u00ad\u200b\u2060\ufeff]", "")
                        // A digit drawn on a key numbers what it stands before.
                        .replaceAll("([0-9])\ufe0f?\u20e3[.)]?", "$1.")
                : written;
    }

    public void figure(String id) {
        int from = text.length();
        text.append(Line.FIGURE);
        spans.add(new Span(from, text.length(), Set.of(), "", id));
    }

    /** Ends the line; an empty one is not kept but counted as space before the next. */
    public void end(int indent, String style, Place place, Optional<Cell> cell, boolean centered) {
        ruleBlanks();
        int length = text.length();
        while (length > labelEnd && Character.isWhitespace(text.charAt(length - 1))) {
            length--;
        }
        text.setLength(length);
        int pushed = dropLeadingBlanks();
        if (text.toString().isBlank()) {
            emptyBefore++;
        } else {
            Layout layout =
                    new Layout(indent + pushed, emptyBefore, style, place, cell, centered, Optional.ofNullable(box));
            lines.add(new Line(lines.size() + 1, text.toString(), labelEnd, cut(text.length()), layout));
            emptyBefore = 0;
        }
        text.setLength(0);
        spans.clear();
        labelEnd = 0;
        box = null;
    }

    /** Underlined blanks are a rule to write on: a gap. */
    private void ruleBlanks() {
        for (int from = labelEnd; from < text.length(); from++) {
            int to = from;
            while (to < text.length() && Character.isWhitespace(text.charAt(to)) && isUnderlined(to)) {
                to++;
            }
            boolean wide =
                    to - from >= NARROWEST_RULE || text.substring(from, to).indexOf('\t') >= 0;
            if (to > from && wide && isWithinWords(from, to)) {
                from = to;
            } else if (to > from && wide) {
                replace(from, to, RULE);
                from += RULE.length() - 1;
            }
        }
    }

    /** "A\tqueen", underlined from the letter on: a tab, or blanks behind a label, part underlined words and are no room to write on. */
    private boolean isWithinWords(int from, int to) {
        boolean label = LABEL.matcher(text.substring(0, from)).matches();
        if (to - from > 1 && !label || from == 0 || to == text.length()) {
            return false;
        }
        char before = text.charAt(from - 1);
        boolean word = Character.isLetterOrDigit(before) || before == '.' || before == ')';
        return word && isUnderlined(from - 1) && isUnderlined(to) && Character.isLetterOrDigit(text.charAt(to));
    }

    private boolean isUnderlined(int at) {
        return spans.stream()
                .anyMatch(span ->
                        span.from() <= at && at < span.to() && span.emphasis().contains(Emphasis.UNDERLINE));
    }

    /** Each look that a part of the replaced text had is one of the whole of what stands there now. */
    private void replace(int from, int to, String other) {
        text.replace(from, to, other);
        int shift = other.length() - (to - from);
        List<Span> moved = spans.stream()
                .map(span -> new Span(
                        span.from() >= to ? span.from() + shift : Math.min(span.from(), from),
                        span.to() >= to ? span.to() + shift : span.to() > from ? from + other.length() : span.to(),
                        span.emphasis(),
                        span.color(),
                        span.figure()))
                .distinct()
                .toList();
        spans.clear();
        spans.addAll(moved);
    }

    /** Blanks typed to push a line in are its indent and no part of its text. */
    private int dropLeadingBlanks() {
        int blanks = 0;
        while (labelEnd == 0 && blanks < text.length() && Character.isWhitespace(text.charAt(blanks))) {
            blanks++;
        }
        if (blanks == 0 || blanks == text.length()) {
            return 0;
        }
        int dropped = blanks;
        text.delete(0, dropped);
        List<Span> moved = spans.stream()
                .filter(span -> span.to() > dropped)
                .map(span -> new Span(
                        Math.max(0, span.from() - dropped),
                        span.to() - dropped,
                        span.emphasis(),
                        span.color(),
                        span.figure()))
                .toList();
        spans.clear();
        spans.addAll(moved);
        return dropped * SPACE_WIDTH;
    }

    /** Says where the line, or its next part, stands on its page. */
    public void box(Box part) {
        box = box == null ? part : box.with(part);
    }

    private List<Span> cut(int length) {
        List<Span> kept = new ArrayList<>();
        for (Span span : spans) {
            if (span.from() < length) {
                kept.add(new Span(
                        span.from(), Math.min(length, span.to()), span.emphasis(), span.color(), span.figure()));
            }
        }
        return kept;
    }

    /** The text of a spreadsheet's cell, a line for each of its lines. */
    public void cell(String content, Cell place) {
        for (String line : content.split("\r\n|[\r\n]")) {
            append(line.strip(), Set.of(), "");
            if (!line.isBlank()) {
                end(0, "", Place.BODY, Optional.of(place), false);
            }
        }
    }

    /** Whether nothing of the next line is there yet. */
    public boolean isAtLineStart() {
        return text.isEmpty();
    }

    /** Lines that were gathered elsewhere follow here. */
    public void add(List<Line> others) {
        for (Line other : others) {
            lines.add(new Line(lines.size() + 1, other.text(), other.labelEnd(), other.spans(), other.layout()));
        }
    }

    public List<Line> lines() {
        return lines;
    }

    /** Words of a form to choose from, as on paper. */
    public static String inBrackets(List<String> words) {
        return "(" + String.join(" / ", words) + ")";
    }
}
