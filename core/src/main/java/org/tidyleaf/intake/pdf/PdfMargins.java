package org.tidyleaf.intake.pdf;

import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Heads, feet and notes of pages, which print apart from the text. */
final class PdfMargins {

    /** The share of a page's height at its top and bottom where running heads stand. */
    private static final float MARGIN = 0.1f;

    /** In points: heads of two pages that stand within it stand at the same height. */
    private static final float SAME_HEIGHT = 6;

    /** In points, and as a share of the page's width: the rule above a page's notes. */
    private static final float SHORTEST_NOTE_RULE = 50;

    private static final float LONGEST_NOTE_RULE = 0.4f;

    private static final Pattern NOTE_SIGN = Pattern.compile("(\\d{1,2}|[*\u2020\u2021])(?![.)\\d])");

    /** "3/14/26, 10:15 AM   the title" at the head, the address and "1/2" at the foot. */
    private static final Pattern BROWSER = Pattern.compile(
            "\\d{1,4}[/.-]\\d{1,2}[/.-]\\d{2,4},?\\h*\\d{1,2}:\\d{2}(?:\\h?[AP]M)?(?!\\d).*|(?:https?|file|\ufb01le)://\\S+(?:\\h+\\d+/\\d+)?");

    private PdfMargins() {}

    /** Texts at the same place in the margin of at least two pages, numbers aside; and what a browser prints there. */
    static Set<String> running(List<PdfPage> pages, List<List<PdfRow>> rows) {
        Map<String, Integer> seen = new HashMap<>();
        for (int i = 0; i < pages.size(); i++) {
            Set<String> edge = new HashSet<>();
            for (PdfRow row : edges(pages.get(i), rows.get(i))) {
                edge.add(placed(row));
            }
            edge.forEach(text -> seen.merge(text, 1, Integer::sum));
        }
        Set<String> running = new HashSet<>();
        for (int i = 0; i < pages.size(); i++) {
            edges(pages.get(i), rows.get(i)).stream()
                    .filter(row -> BROWSER.matcher(row.plain().strip()).matches())
                    .forEach(row -> running.add(placed(row)));
        }
        seen.forEach((text, count) -> {
            if (count >= 2) {
                running.add(text);
            }
        });
        Set<String> often = running.isEmpty() ? Set.of() : often(pages, rows);
        running.removeIf(text -> often.contains(text.substring(text.indexOf(' ') + 1)));
        return running;
    }

    /** "Question 7" at the top of a page is no running head where "Question #" stands in the middle of pages again and again. */
    private static Set<String> often(List<PdfPage> pages, List<List<PdfRow>> rows) {
        Map<String, Integer> seen = new HashMap<>();
        for (int i = 0; i < pages.size(); i++) {
            Set<PdfRow> edges = new HashSet<>(edges(pages.get(i), rows.get(i)));
            rows.get(i).stream()
                    .filter(row -> !edges.contains(row))
                    .forEach(row -> seen.merge(withoutNumbers(row), 1, Integer::sum));
        }
        seen.values().removeIf(count -> count < 2);
        return seen.keySet();
    }

    private static String withoutNumbers(PdfRow row) {
        return row.plain().replaceAll("\\d+", "#");
    }

    /** Its text without numbers, and its height on the page in steps of a few points. */
    static String placed(PdfRow row) {
        return Math.round(row.y() / SAME_HEIGHT) + " " + withoutNumbers(row);
    }

    /** Rows with words or numbers in the outer strips of a page, where heads and page numbers stand. */
    static List<PdfRow> edges(PdfPage page, List<PdfRow> rows) {
        return rows.stream()
                .filter(row -> row.y() < page.height() * MARGIN || row.y() > page.height() * (1 - MARGIN))
                .filter(row -> row.plain().chars().anyMatch(Character::isLetterOrDigit))
                .toList();
    }

    /**
     * The notes at a page's foot with the rule above them: below a short rule, and begun by a number or sign that is
     * printed small somewhere in the text above.
     */
    static Set<PdfRow> notes(PdfPage page, List<PdfRow> rows, Set<String> running) {
        Optional<Float> rule = noteRule(page, rows);
        if (rule.isEmpty()) {
            return Set.of();
        }
        List<PdfRow> below = rows.stream()
                .filter(row -> row.y() > rule.get() + 1 && !running.contains(placed(row)))
                .sorted(Comparator.comparingDouble(PdfRow::y))
                .toList();
        Optional<String> sign = below.isEmpty() ? Optional.empty() : noteSign(below.get(0));
        boolean referred = sign.isPresent()
                && rows.stream().filter(row -> row.y() < rule.get()).anyMatch(row -> row.hasSmall(sign.get()));
        if (!referred) {
            return Set.of();
        }
        Set<PdfRow> notes = new HashSet<>(below);
        rows.stream()
                .filter(row -> isRule(row) && Math.abs(row.y() - rule.get()) < SAME_HEIGHT)
                .forEach(notes::add);
        return notes;
    }

    private static Optional<String> noteSign(PdfRow row) {
        Matcher matcher = NOTE_SIGN.matcher(row.plain());
        return matcher.lookingAt() ? Optional.of(matcher.group(1)) : Optional.empty();
    }

    /** The height of the lowest short rule in the lower part of the page. */
    private static Optional<Float> noteRule(PdfPage page, List<PdfRow> rows) {
        Stream<Float> painted = page.marks().stream()
                .filter(mark -> mark.height() <= PdfPage.Mark.THIN
                        && mark.width() >= SHORTEST_NOTE_RULE
                        && mark.width() <= page.width() * LONGEST_NOTE_RULE)
                .map(PdfPage.Mark::top);
        Stream<Float> written = rows.stream().filter(PdfMargins::isRule).map(PdfRow::y);
        return Stream.concat(painted, written)
                .filter(y -> y > page.height() / 2)
                .max(Comparator.naturalOrder());
    }

    private static boolean isRule(PdfRow row) {
        return row.plain().matches("_{5,}");
    }
}
