package org.tidyleaf.intake;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.tidyleaf.source.Box;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Figure;
import org.tidyleaf.source.Place;

/** Glyphs to lines in human reading order: rows by baseline, columns by the gutter between them, running heads by repetition. */
final class PdfLayout {

    /** In parts of the face's size: a gap that a space fills, and one that only a tab does. */
    private static final float WORD_GAP = 0.18f;

    private static final float TAB_GAP = 1.6f;

    /** Baselines closer than this belong to one row. */
    private static final float ROW_TOLERANCE = 0.45f;

    /** In points: the narrowest white strip that parts two columns. */
    private static final float GUTTER = 11;

    /** So many rows side by side make columns, fewer a table. */
    private static final int COLUMN_ROWS = 6;

    /** Lines of text in a column have at least so many letters. */
    private static final int COLUMN_LETTERS = 6;

    /** The share of a page's height at its top and bottom where running heads stand. */
    private static final float MARGIN = 0.1f;

    /** Headings are so many times as large as the text, and their rows so near to each other. */
    private static final float HEADING_SIZE = 1.25f;

    private static final float HEADING_PITCH = 1.7f;

    private static final Pattern LABELLED =
            Pattern.compile("[(\\[]?[A-Za-z0-9]{1,2}[.)\\]]|[\u2022\u2610\u2611\u25a1\u25cb*-]");

    /** From this share of a letter's size on, a gap is two spaces or more. */
    private static final float WIDE_GAP = 0.7f;

    /** In points: heads of two pages that stand within it stand at the same height. */
    private static final float SAME_HEIGHT = 6;

    private PdfLayout() {}

    static void lines(List<PdfPage> pages, LineCollector lines, List<Figure> figures) {
        List<List<Row>> all = new ArrayList<>();
        for (PdfPage page : pages) {
            all.add(inOrder(page, rows(page)));
        }
        Set<String> running = running(pages, all);
        double pitch = pitch(all);
        TableNumbers numbers = new TableNumbers();
        float body = bodySize(all);
        for (int i = 0; i < pages.size(); i++) {
            page(pages.get(i), all.get(i), new Usual(running, pitch, body), numbers, lines, figures);
        }
    }

    /** Glyphs on one baseline, in order of their places, maybe cut at a gutter. */
    private record Row(List<PdfPage.Glyph> glyphs, float y, float size, boolean newColumn) {
        float left() {
            return glyphs.get(0).x();
        }

        float right() {
            return glyphs.get(glyphs.size() - 1).right();
        }

        String plain() {
            StringBuilder text = new StringBuilder();
            glyphs.forEach(glyph -> text.append(glyph.text()));
            return text.toString();
        }
    }

    private static List<Row> rows(PdfPage page) {
        List<PdfPage.Glyph> sorted = new ArrayList<>(page.glyphs());
        sorted.removeIf(glyph -> glyph.text().isBlank() || page.isInDrawing(glyph) || page.isInTable(glyph));
        sorted.sort(Comparator.comparingDouble(PdfPage.Glyph::y).thenComparingDouble(PdfPage.Glyph::x));
        List<Row> rows = new ArrayList<>();
        List<PdfPage.Glyph> open = new ArrayList<>();
        float baseline = 0;
        float size = 0;
        for (PdfPage.Glyph glyph : sorted) {
            boolean same = !open.isEmpty() && glyph.y() - baseline <= ROW_TOLERANCE * Math.max(size, glyph.size());
            if (!same && !open.isEmpty()) {
                rows.add(row(open));
                open.clear();
            }
            if (open.isEmpty() || glyph.size() > size) {
                baseline = glyph.y();
                size = glyph.size();
            }
            open.add(glyph);
        }
        if (!open.isEmpty()) {
            rows.add(row(open));
        }
        return rows;
    }

    private static Row row(List<PdfPage.Glyph> glyphs) {
        List<PdfPage.Glyph> ordered = new ArrayList<>(glyphs);
        ordered.sort(Comparator.comparingDouble(PdfPage.Glyph::x));
        PdfPage.Glyph largest = ordered.stream()
                .max(Comparator.comparingDouble(PdfPage.Glyph::size))
                .orElseThrow();
        return new Row(ordered, largest.y(), largest.size(), false);
    }

    /** Rows that share a gutter are read column by column, the others across. */
    private static List<Row> inOrder(PdfPage page, List<Row> rows) {
        List<Row> ordered = new ArrayList<>();
        int at = 0;
        while (at < rows.size()) {
            Block block = columns(page, rows, at);
            if (block.end() - at >= COLUMN_ROWS) {
                ordered.addAll(cut(rows.subList(at, block.end()), block.gutter(), true));
                ordered.addAll(cut(rows.subList(at, block.end()), block.gutter(), false));
                at = block.end();
            } else {
                ordered.add(rows.get(at));
                at++;
            }
        }
        return ordered;
    }

    /** Rows from a place on that keep clear of one vertical line. */
    private record Block(int end, float gutter) {}

    private static Block columns(PdfPage page, List<Row> rows, int from) {
        Block best = new Block(from, 0);
        for (float x = page.width() * 0.38f; x < page.width() * 0.62f; x += 2) {
            int end = from;
            int left = 0;
            int right = 0;
            int texts = 0;
            while (end < rows.size() && isClear(rows.get(end), x)) {
                left += rows.get(end).left() < x ? 1 : 0;
                right += rows.get(end).right() > x ? 1 : 0;
                texts += isText(rows.get(end), x) ? 1 : 0;
                end++;
            }
            boolean both =
                    texts * 3 >= right && left >= COLUMN_ROWS && right >= COLUMN_ROWS / 2 && right * 5 >= end - from;
            if (both && end > best.end()) {
                best = new Block(end, x);
            }
        }
        return best;
    }

    /** "T / F" or a blank to the right of each line is no column of its own. */
    private static boolean isText(Row row, float x) {
        return row.glyphs().stream()
                        .filter(glyph -> glyph.x() > x
                                && Character.isLetterOrDigit(glyph.text().codePointAt(0)))
                        .count()
                >= COLUMN_LETTERS;
    }

    private static boolean isClear(Row row, float x) {
        for (PdfPage.Glyph glyph : row.glyphs()) {
            if (glyph.x() < x + GUTTER / 2 && glyph.right() > x - GUTTER / 2) {
                return false;
            }
        }
        return true;
    }

    private static List<Row> cut(List<Row> rows, float gutter, boolean left) {
        List<Row> column = new ArrayList<>();
        for (Row row : rows) {
            List<PdfPage.Glyph> part = row.glyphs().stream()
                    .filter(glyph -> glyph.x() < gutter == left)
                    .toList();
            if (!part.isEmpty()) {
                column.add(new Row(part, row.y(), row.size(), column.isEmpty()));
            }
        }
        return column;
    }

    /** Texts at the same place in the margin of at least two pages, numbers aside. */
    private static Set<String> running(List<PdfPage> pages, List<List<Row>> rows) {
        Map<String, Integer> seen = new HashMap<>();
        for (int i = 0; i < pages.size(); i++) {
            Set<String> edge = new HashSet<>();
            for (Row row : edges(pages.get(i), rows.get(i))) {
                edge.add(placed(row));
            }
            edge.forEach(text -> seen.merge(text, 1, Integer::sum));
        }
        Set<String> running = new HashSet<>();
        seen.forEach((text, count) -> {
            if (count >= 2) {
                running.add(text);
            }
        });
        return running;
    }

    /** Its text without numbers, and its height on the page in steps of a few points. */
    private static String placed(Row row) {
        return Math.round(row.y() / SAME_HEIGHT) + " " + row.plain().replaceAll("\\d+", "#");
    }

    /** Rows with words or numbers in the outer strips of a page, where heads and page numbers stand. */
    private static List<Row> edges(PdfPage page, List<Row> rows) {
        return rows.stream()
                .filter(row -> row.y() < page.height() * MARGIN || row.y() > page.height() * (1 - MARGIN))
                .filter(row -> row.plain().chars().anyMatch(Character::isLetterOrDigit))
                .toList();
    }

    /** What all pages share: texts that recur at their edges, the usual distance of rows and size of letters. */
    private record Usual(Set<String> running, double pitch, float bodySize) {}

    /** A heading's next row: the same size right below it. */
    private static boolean goesOn(Row row, Row next) {
        return Math.abs(next.size() - row.size()) < 0.6f
                && next.y() > row.y()
                && next.y() - row.y() < row.size() * HEADING_PITCH
                && !next.newColumn();
    }

    private static float bodySize(List<List<Row>> pages) {
        List<Float> sizes = new ArrayList<>();
        pages.forEach(rows -> rows.forEach(row -> sizes.add(row.size())));
        sizes.sort(Comparator.naturalOrder());
        return sizes.isEmpty() ? 1 : sizes.get(sizes.size() / 2);
    }

    /** The usual distance of two rows, in sizes of their face. */
    private static double pitch(List<List<Row>> pages) {
        List<Double> distances = new ArrayList<>();
        for (List<Row> page : pages) {
            for (int i = 1; i < page.size(); i++) {
                double distance =
                        (page.get(i).y() - page.get(i - 1).y()) / page.get(i).size();
                if (distance > 0.8 && distance < 3) {
                    distances.add(distance);
                }
            }
        }
        distances.sort(Comparator.naturalOrder());
        return distances.isEmpty() ? 1.2 : distances.get(distances.size() / 3);
    }

    private static void page(
            PdfPage page,
            List<Row> rows,
            Usual usual,
            TableNumbers numbers,
            LineCollector lines,
            List<Figure> figures) {
        boolean body = false;
        List<PdfTables.Table> tables = new ArrayList<>(page.tables());
        List<PdfPage.Picture> waiting = new ArrayList<>(page.pictures());
        waiting.sort(Comparator.comparingDouble(PdfPage.Picture::y));
        Set<Row> edges = new HashSet<>(edges(page, rows));
        float left = columnLeft(rows, 0);
        for (int i = 0; i < rows.size(); i++) {
            Row row = rows.get(i);
            left = row.newColumn() ? columnLeft(rows, i) : left;
            for (PdfPage.Picture picture : List.copyOf(waiting)) {
                if (picture.y() < row.y() - row.size() && picture.x() < row.right() + page.width() / 2) {
                    figure(page, picture, lines, figures);
                    waiting.remove(picture);
                }
            }
            for (PdfTables.Table table : List.copyOf(tables)) {
                if (table.top() < row.y()) {
                    table(page, table, numbers.of(table, !body, isCut(page, table)), lines);
                    numbers.below(false);
                    body = true;
                    tables.remove(table);
                }
            }
            boolean repeated = edges.contains(row) && usual.running().contains(placed(row));
            if (!repeated) {
                body = true;
                numbers.below(true);
            }
            Place place = !repeated ? Place.BODY : row.y() < page.height() / 2 ? Place.HEADER : Place.FOOTER;
            boolean apart = i > 0 && (row.y() - rows.get(i - 1).y()) / row.size() > usual.pitch() * 1.35;
            if (apart) {
                lines.end(0, "", place, Optional.empty(), false);
            }
            write(row, lines);
            lines.box(box(page, row));
            boolean heading = row.size() >= usual.bodySize() * HEADING_SIZE;
            if (heading && i + 1 < rows.size() && goesOn(row, rows.get(i + 1))) {
                lines.append(" ", Set.of(), "");
                continue;
            }
            boolean centered = Math.abs(row.left() + row.right() - page.width()) < 12 && row.left() > left + 40;
            String style = heading ? "heading" : "";
            lines.end(Math.max(0, Math.round((row.left() - left) * 20)), style, place, Optional.empty(), centered);
        }
        for (PdfTables.Table table : tables) {
            table(page, table, numbers.of(table, !body, isCut(page, table)), lines);
            numbers.below(false);
            body = true;
        }
        waiting.forEach(picture -> figure(page, picture, lines, figures));
        labels(page, lines);
    }

    private static boolean isCut(PdfPage page, PdfTables.Table table) {
        return page.glyphs().stream()
                .filter(glyph -> !glyph.text().isBlank())
                .noneMatch(glyph -> table.row(glyph) == 0 && table.column(glyph) == 0);
    }

    /** The cells of a table row by row, each line of a cell for itself. */
    private static void table(PdfPage page, PdfTables.Table table, TableNumbers.Begin begin, LineCollector lines) {
        for (int row = 0; row + 1 < table.ys().size(); row++) {
            for (int column = 0; column < table.columns(); column++) {
                List<PdfPage.Glyph> glyphs = new ArrayList<>();
                for (PdfPage.Glyph glyph : page.glyphs()) {
                    if (table.row(glyph) == row
                            && table.column(glyph) == column
                            && !glyph.text().isBlank()) {
                        glyphs.add(glyph);
                    }
                }
                PdfPage cell = new PdfPage(page.number(), page.width(), page.height(), glyphs, List.of(), List.of());
                Optional<Cell> place = Optional.of(new Cell(begin.table(), begin.row() + row, column, table.columns()));
                List<Row> rows = rows(cell);
                for (int i = 0; i < rows.size(); i++) {
                    if (i > 0 && beginsAnew(rows.get(i - 1), rows.get(i), table.right(column))) {
                        lines.end(0, "", Place.BODY, place, false);
                    } else if (i > 0) {
                        lines.append(" ", Set.of(), "");
                    }
                    write(rows.get(i), lines);
                    lines.box(box(page, rows.get(i)));
                }
                lines.end(0, "", Place.BODY, place, false);
            }
        }
    }

    /** A row of a cell that has a label of its own, or stands below one with room left for its first word. */
    private static boolean beginsAnew(Row above, Row row, float right) {
        String text = row.plain();
        boolean labelled = LABELLED.matcher(text).lookingAt();
        int word = 0;
        while (word < text.length()
                && word < row.glyphs().size()
                && !row.glyphs().get(word).text().isBlank()
                && (word == 0
                        || gap(row.glyphs().get(word - 1), row.glyphs().get(word))
                                .isEmpty())) {
            word++;
        }
        float first = row.glyphs().get(Math.max(0, word - 1)).right() - row.left();
        boolean room = right - above.right() > first + above.size();
        return labelled || room;
    }

    /** The letters inside drawings are shown by the pictures; they stay in the ledger, at the page's end. */
    private static void labels(PdfPage page, LineCollector lines) {
        List<PdfPage.Glyph> inside = page.glyphs().stream()
                .filter(glyph -> page.isInDrawing(glyph)
                        && !page.isInTable(glyph)
                        && !glyph.text().isBlank())
                .toList();
        for (Row row : rows(new PdfPage(page.number(), page.width(), page.height(), inside, List.of(), List.of()))) {
            write(row, lines);
            lines.box(box(page, row));
            lines.end(0, "", Place.PICTURE, Optional.empty(), false);
        }
    }

    private static float columnLeft(List<Row> rows, int from) {
        float left = Float.MAX_VALUE;
        for (int i = from; i < rows.size() && (i == from || !rows.get(i).newColumn()); i++) {
            left = Math.min(left, rows.get(i).left());
        }
        return left;
    }

    /** Letters reach from about four fifths of their size above the baseline to a quarter below it. */
    private static Box box(PdfPage page, Row row) {
        return new Box(
                page.number(), row.left(), row.y() - row.size() * 0.85f, row.right(), row.y() + row.size() * 0.28f);
    }

    private static void figure(PdfPage page, PdfPage.Picture picture, LineCollector lines, List<Figure> figures) {
        String id = "f" + (figures.size() + 1);
        figures.add(new Figure(id, "image/png", "", picture.png()));
        lines.figure(id);
        lines.box(new Box(
                page.number(),
                picture.x(),
                picture.y(),
                picture.x() + picture.width(),
                picture.y() + picture.height()));
        lines.end(0, "", Place.BODY, Optional.empty(), false);
    }

    private static void write(Row row, LineCollector lines) {
        StringBuilder run = new StringBuilder();
        Set<Emphasis> look = Set.of();
        PdfPage.Glyph before = null;
        for (PdfPage.Glyph glyph : row.glyphs()) {
            Set<Emphasis> here = withScripts(glyph, row);
            String gap = before == null ? "" : gap(before, glyph);
            if (!here.equals(look)) {
                lines.append(run.toString(), look, "");
                run.setLength(0);
                lines.append(gap, Set.of(), "");
                look = here;
            } else {
                run.append(gap);
            }
            run.append(ligature(glyph.text()));
            before = glyph;
        }
        lines.append(run.toString(), look, "");
    }

    private static Set<Emphasis> withScripts(PdfPage.Glyph glyph, Row row) {
        boolean small = glyph.size() < row.size() * 0.8f;
        if (!small) {
            return glyph.look();
        }
        Set<Emphasis> look = EnumSet.noneOf(Emphasis.class);
        look.addAll(glyph.look());
        if (glyph.y() < row.y() - 0.15f * row.size()) {
            look.add(Emphasis.SUPERSCRIPT);
        } else if (glyph.y() > row.y() + 0.08f * row.size()) {
            look.add(Emphasis.SUBSCRIPT);
        }
        return look;
    }

    private static String gap(PdfPage.Glyph before, PdfPage.Glyph glyph) {
        float gap = glyph.x() - before.right();
        float size = Math.max(before.size(), glyph.size());
        if (gap > TAB_GAP * size) {
            return "\t";
        }
        return gap > WIDE_GAP * size ? "   " : gap > WORD_GAP * size ? " " : "";
    }

    /** "\uFB01" is two letters to a reader. */
    private static String ligature(String text) {
        return switch (text) {
            case "\uFB00" -> "ff";
            case "\uFB01" -> "fi";
            case "\uFB02" -> "fl";
            case "\uFB03" -> "ffi";
            case "\uFB04" -> "ffl";
            default -> text;
        };
    }
}
