package org.tidyleaf.intake.pdf;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import org.tidyleaf.intake.common.LineCollector;
import org.tidyleaf.source.Box;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Figure;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Note;
import org.tidyleaf.source.Place;

/** Glyphs to lines in human reading order: rows by baseline, columns by the gutter between them, running heads by repetition. */
final class PdfLayout {

    /** Headings are so many times as large as the text, and their rows so near to each other. */
    private static final float HEADING_SIZE = 1.25f;

    private static final float BOLD_HEADING_SIZE = 1.12f;

    private static final float HEADING_PITCH = 1.7f;

    /** In signs: "(a)" and "12." are labels. */
    private static final int LONGEST_LABEL = 4;

    /** In points: headings whose letters differ less are of one level. */
    private static final float SAME_SIZE = 0.6f;

    /** In points: text and pictures that begin so near to one another begin at one edge. */
    private static final float SAME_EDGE = 2;

    /** In points: a table that begins so far before the second column and reaches into it stands above both. */
    private static final float PAST_GUTTER = 100;

    private static final String STACKED =
            "Signs stand above one another here and may be in the wrong order. Compare them with the page.";

    /** In signs: a shorter text of a cell has room for the next word and goes on nowhere. */
    private static final int LEAST_CUT = 12;

    /** Between what does not belong together. */
    private static final String WIDE = "   ";

    private PdfLayout() {}

    /** @param notes takes what could not be read with certainty */
    static void lines(List<PdfPage> pages, LineCollector lines, List<Figure> figures, List<Note> notes) {
        List<List<PdfRow>> all = PdfColumns.inOrder(pages);
        Set<String> running = PdfMargins.running(pages, all);
        double pitch = pitch(all);
        boolean columns = all.stream().flatMap(List::stream).anyMatch(PdfRow::newColumn);
        float second = PdfColumns.second(all);
        TableNumbers numbers = new TableNumbers();
        float body = bodySize(all);
        List<Float> sizes = headingSizes(all, body);
        for (int i = 0; i < pages.size(); i++) {
            page(
                    pages.get(i),
                    all.get(i),
                    new Usual(running, pitch, body, sizes, columns, second),
                    numbers,
                    lines,
                    figures,
                    notes);
        }
    }

    /** What all pages share: texts that recur at their edges, the usual distance of rows, sizes of letters and of headings, columns and where the second begins. */
    private record Usual(
            Set<String> running,
            double pitch,
            float bodySize,
            List<Float> headingSizes,
            boolean columns,
            float second) {

        /** "heading 1" for the largest letters that head anything, "heading 2" for the next; empty for the text itself. */
        String style(PdfRow row) {
            if (!isHeading(row, bodySize)) {
                return "";
            }
            int level = 1;
            while (level < headingSizes.size() && headingSizes.get(level - 1) - row.size() > SAME_SIZE) {
                level++;
            }
            return "heading " + level;
        }
    }

    private static boolean isHeading(PdfRow row, float body) {
        return row.size() >= body * HEADING_SIZE || row.size() >= body * BOLD_HEADING_SIZE && isBold(row);
    }

    /** The sizes of headings, the largest first. */
    private static List<Float> headingSizes(List<List<PdfRow>> pages, float body) {
        List<Float> sizes = new ArrayList<>();
        pages.stream()
                .flatMap(List::stream)
                .filter(row -> isHeading(row, body))
                .map(PdfRow::size)
                .sorted(Comparator.reverseOrder())
                .filter(size -> sizes.isEmpty() || sizes.get(sizes.size() - 1) - size > SAME_SIZE)
                .forEach(sizes::add);
        return sizes;
    }

    /** A heading's next row: the same size right below it. */
    private static boolean goesOn(PdfRow row, PdfRow next) {
        return Math.abs(next.size() - row.size()) < 0.6f
                && next.y() > row.y()
                && next.y() - row.y() < row.size() * HEADING_PITCH
                && !next.newColumn();
    }

    private static float bodySize(List<List<PdfRow>> pages) {
        List<Float> sizes = new ArrayList<>();
        pages.forEach(rows -> rows.forEach(row -> sizes.add(row.size())));
        sizes.sort(Comparator.naturalOrder());
        return sizes.isEmpty() ? 1 : sizes.get(sizes.size() / 2);
    }

    /** The usual distance of two rows, in sizes of their face. */
    private static double pitch(List<List<PdfRow>> pages) {
        List<Double> distances = new ArrayList<>();
        for (List<PdfRow> page : pages) {
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
            List<PdfRow> rows,
            Usual usual,
            TableNumbers numbers,
            LineCollector lines,
            List<Figure> figures,
            List<Note> notes) {
        boolean body = false;
        List<PdfTables.Table> tables = new ArrayList<>(page.tables());
        List<PdfPage.Picture> waiting = new ArrayList<>(page.pictures());
        waiting.sort(Comparator.comparingDouble(PdfPage.Picture::y));
        Set<PdfRow> footnotes = PdfMargins.notes(page, rows, usual.running());
        Set<PdfRow> edges = new HashSet<>(PdfMargins.edges(page, rows));
        float left = columnLeft(rows, 0);
        float[] limits = PdfColumns.limits(rows, usual.second());
        Predicate<PdfRow> running =
                row -> edges.contains(row) && usual.running().contains(PdfMargins.placed(row));
        PdfParagraphs paragraphs = new PdfParagraphs(page, rows, usual.pitch(), usual.columns(), running);
        for (int i = 0; i < rows.size(); i++) {
            PdfRow row = rows.get(i);
            left = row.newColumn() ? columnLeft(rows, i) : left;
            List<PdfPage.Picture> behindLabel = behindLabels(waiting, row);
            waiting.removeAll(behindLabel);
            boolean turns = i > 0 && row.newColumn() && limits[i - 1] < Float.MAX_VALUE;
            for (PdfPage.Picture picture : List.copyOf(waiting)) {
                boolean above = picture.y() < row.y() - row.size()
                        && picture.x() < Math.min(limits[i] - SAME_EDGE, row.right() + page.width() / 2);
                if (above || turns && picture.x() < limits[i - 1] - SAME_EDGE) {
                    figure(page, picture, lines, figures);
                    waiting.remove(picture);
                }
            }
            if (turns) {
                // At the end of a column all tables that stand in it are due.
                for (PdfTables.Table table : List.copyOf(tables)) {
                    if (table.right() < limits[i - 1]) {
                        table(page, table, !body, numbers, lines);
                        body = true;
                        tables.remove(table);
                    }
                }
                body = false;
            }
            for (PdfTables.Table table : List.copyOf(tables)) {
                boolean before = table.right() < limits[i] || table.left() < limits[i] - PAST_GUTTER;
                if (table.top() < row.y() && before) {
                    table(page, table, !body, numbers, lines);
                    body = true;
                    tables.remove(table);
                }
            }
            boolean repeated = running.test(row);
            if (!repeated) {
                body = true;
                numbers.below(true);
            }
            Place place = repeated ? margin(page, row) : footnotes.contains(row) ? Place.FOOTNOTE : Place.BODY;
            boolean apart =
                    i > 0 && (row.y() - lastAbove(page, rows.get(i - 1), row)) / row.size() > usual.pitch() * 1.35;
            if (apart) {
                lines.end(0, "", place, Optional.empty(), false);
            }
            boolean broken = !repeated
                    && place == Place.BODY
                    && usual.style(row).isEmpty()
                    && paragraphs.isBroken(i)
                    && !isBetween(waiting, tables, row, rows.get(i + 1));
            boolean parted = broken && paragraphs.isParted(i);
            if (behindLabel.isEmpty()) {
                (parted ? row.withoutLast() : row).write(lines, stopsBeside(rows, i));
            } else {
                writeAround(behindLabel, row, lines, figures);
            }
            boolean wrapped = i + 1 < rows.size() && rows.get(i + 1).wraps(row, usual.pitch());
            if (wrapped) {
                lines.append(" ", Set.of(), "");
                rows.get(i + 1).write(lines);
                i++;
            }
            lines.box(row.box(page));
            if (broken && !wrapped) {
                lines.append(parted || paragraphs.isCutWithin(i) ? "" : " ", Set.of(), "");
                continue;
            }
            if (row.isStacked()) {
                notes.add(new Note(lines.lines().size() + 1, "formula-to-check", STACKED));
            }
            String style = usual.style(row);
            if (!style.isEmpty() && i + 1 < rows.size() && goesOn(row, rows.get(i + 1))) {
                lines.append(" ", Set.of(), "");
                continue;
            }
            boolean centered = Math.abs(row.left() + row.right() - page.width()) < 12 && row.left() > left + 40;
            lines.end(Math.max(0, Math.round((row.left() - left) * 20)), style, place, Optional.empty(), centered);
        }
        for (PdfTables.Table table : tables) {
            table(page, table, !body, numbers, lines);
            body = true;
        }
        waiting.forEach(picture -> figure(page, picture, lines, figures));
        labels(page, lines);
    }

    /** The baseline above a row, or the foot of the picture or table that stands between the two. */
    private static float lastAbove(PdfPage page, PdfRow above, PdfRow row) {
        DoubleStream pictures = page.pictures().stream().mapToDouble(picture -> picture.y() + picture.height());
        DoubleStream tables = page.tables().stream().mapToDouble(PdfTables.Table::bottom);
        return (float) DoubleStream.concat(pictures, tables)
                .filter(foot -> foot > above.y() && foot < row.y())
                .max()
                .orElse(above.y());
    }

    /** @param first whether nothing stands above it on its page or in its column */
    private static void table(
            PdfPage page, PdfTables.Table table, boolean first, TableNumbers numbers, LineCollector lines) {
        PdfCells.write(page, table, numbers.of(table, first, isCut(page, table, lines.lines())), lines);
        numbers.below(false);
    }

    /** Whether a picture or a table is still to be put between two rows. */
    private static boolean isBetween(
            List<PdfPage.Picture> pictures, List<PdfTables.Table> tables, PdfRow row, PdfRow next) {
        return pictures.stream()
                        .anyMatch(picture -> picture.y() > row.y() - row.size()
                                && picture.y() < next.y()
                                && picture.x() < next.right())
                || tables.stream().anyMatch(table -> table.top() < next.y() && table.top() > row.y());
    }

    /** Where the rows right above and below begin a second column. */
    private static Set<Float> stopsBeside(List<PdfRow> rows, int place) {
        Set<Float> stops = new HashSet<>();
        for (int i = Math.max(0, place - 1); i <= Math.min(rows.size() - 1, place + 1); i++) {
            if (i != place) {
                stops.addAll(rows.get(i).stops());
            }
        }
        return stops;
    }

    private static boolean isBold(PdfRow row) {
        return row.glyphs().stream().allMatch(glyph -> glyph.look().contains(Emphasis.BOLD));
    }

    private static Place margin(PdfPage page, PdfRow row) {
        return row.y() < page.height() / 2 ? Place.HEADER : Place.FOOTER;
    }

    /** Whether the page begins with the rest of a row: its first cell is empty, and the others go on with texts that fill theirs. */
    private static boolean isCut(PdfPage page, PdfTables.Table table, List<Line> above) {
        Set<Integer> columns = page.glyphs().stream()
                .filter(glyph -> !glyph.text().isBlank() && table.row(glyph) == 0)
                .map(table::column)
                .collect(Collectors.toSet());
        return !columns.contains(0)
                && columns.stream().allMatch(column -> lastOf(column, above).length() >= LEAST_CUT);
    }

    /** The last text of a column in the table that ends the lines; empty where there is none. */
    private static String lastOf(int column, List<Line> lines) {
        for (int i = lines.size() - 1; i >= 0; i--) {
            Optional<Cell> cell = lines.get(i).layout().cell();
            Place place = lines.get(i).layout().place();
            if (place == Place.HEADER || place == Place.FOOTER) {
                continue;
            }
            if (cell.isEmpty()) {
                return "";
            }
            if (cell.get().column() == column) {
                return lines.get(i).text();
            }
        }
        return "";
    }

    /** The letters inside drawings are shown by the pictures; they stay in the ledger, at the page's end. */
    private static void labels(PdfPage page, LineCollector lines) {
        List<PdfPage.Glyph> inside = page.glyphs().stream()
                .filter(glyph -> page.isInDrawing(glyph)
                        && !page.isInTable(glyph)
                        && !glyph.text().isBlank())
                .toList();
        for (PdfRow row :
                PdfRow.rows(new PdfPage(page.number(), page.width(), page.height(), inside, List.of(), List.of()))) {
            row.write(lines);
            lines.box(row.box(page));
            lines.end(0, "", Place.PICTURE, Optional.empty(), false);
        }
    }

    private static float columnLeft(List<PdfRow> rows, int from) {
        float left = Float.MAX_VALUE;
        for (int i = from; i < rows.size() && (i == from || !rows.get(i).newColumn()); i++) {
            left = Math.min(left, rows.get(i).left());
        }
        return left;
    }

    /** "A.", and with its foot on the same line the picture that it letters; "a)" and "b)" may follow on it with theirs, and each may stand behind its picture. */
    private static List<PdfPage.Picture> behindLabels(List<PdfPage.Picture> pictures, PdfRow row) {
        List<PdfPage.Picture> level = pictures.stream()
                .filter(picture -> Math.abs(picture.y() + picture.height() - row.y()) < row.size() / 2)
                .sorted(Comparator.comparingDouble(PdfPage.Picture::x))
                .toList();
        if (areBeforeLabels(level, row)) {
            return level;
        }
        List<PdfPage.Picture> behind = new ArrayList<>();
        float from = Float.NEGATIVE_INFINITY;
        for (PdfPage.Picture picture : level) {
            if (isLabel(between(row, from, picture.x()))) {
                behind.add(picture);
                from = picture.x();
            }
        }
        return behind;
    }

    /** Whether behind each of several pictures stands a label, and nothing before the first. */
    private static boolean areBeforeLabels(List<PdfPage.Picture> level, PdfRow row) {
        if (level.size() < 2 || level.get(0).x() > row.left()) {
            return false;
        }
        for (int i = 0; i < level.size(); i++) {
            float to = i + 1 < level.size() ? level.get(i + 1).x() : Float.POSITIVE_INFINITY;
            if (!isLabel(between(row, level.get(i).x(), to))) {
                return false;
            }
        }
        return true;
    }

    private static boolean isLabel(List<PdfPage.Glyph> glyphs) {
        return !glyphs.isEmpty() && glyphs.size() <= LONGEST_LABEL;
    }

    private static List<PdfPage.Glyph> between(PdfRow row, float from, float to) {
        return row.glyphs().stream()
                .filter(glyph -> !glyph.text().isBlank() && glyph.x() >= from && glyph.x() < to)
                .toList();
    }

    /** Labels and pictures in the order in which they stand, what belongs together closer than what follows. */
    private static void writeAround(
            List<PdfPage.Picture> pictures, PdfRow row, LineCollector lines, List<Figure> figures) {
        boolean picturesFirst = pictures.get(0).x() < row.left();
        float from = Float.NEGATIVE_INFINITY;
        for (PdfPage.Picture picture : pictures) {
            part(row, from, picture.x(), picturesFirst ? "  " : from < 0 ? "" : WIDE, lines);
            lines.append(picturesFirst && from >= 0 ? WIDE : "", Set.of(), "");
            inline(picture, lines, figures);
            from = picture.x();
        }
        part(row, from, Float.POSITIVE_INFINITY, picturesFirst ? "  " : WIDE, lines);
    }

    private static void part(PdfRow row, float from, float to, String before, LineCollector lines) {
        List<PdfPage.Glyph> glyphs = between(row, from, to);
        if (!glyphs.isEmpty()) {
            lines.append(before, Set.of(), "");
            new PdfRow(glyphs, row.y(), row.size(), false).write(lines);
        }
    }

    private static void inline(PdfPage.Picture picture, LineCollector lines, List<Figure> figures) {
        String id = "f" + (figures.size() + 1);
        figures.add(
                new Figure(id, picture.file().mediaType(), "", picture.file().bytes()));
        lines.figure(id);
    }

    private static void figure(PdfPage page, PdfPage.Picture picture, LineCollector lines, List<Figure> figures) {
        String id = "f" + (figures.size() + 1);
        figures.add(
                new Figure(id, picture.file().mediaType(), "", picture.file().bytes()));
        lines.figure(id);
        lines.box(new Box(
                page.number(),
                picture.x(),
                picture.y(),
                picture.x() + picture.width(),
                picture.y() + picture.height()));
        lines.end(0, "", Place.BODY, Optional.empty(), false);
    }
}
