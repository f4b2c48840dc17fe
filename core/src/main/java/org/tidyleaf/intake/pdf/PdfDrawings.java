package org.tidyleaf.intake.pdf;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.tidyleaf.intake.common.Pictures;

/** Drawings made of lines and curves: found by where they crowd, and cut out of the rendered page. */
final class PdfDrawings {

    /** In points: strokes so near to each other belong to one drawing. */
    private static final float NEAR = 14;

    /** In points: a smaller drawing is a bullet, a box or an arrow in the text. */
    private static final float LEAST_WIDTH = 40;

    private static final float LEAST_HEIGHT = 28;

    /** In points: white left around what is cut out. */
    private static final float MARGIN = 6;

    /** A frame around the page or most of it is no drawing. */
    private static final float FRAME = 0.7f;

    private static final float DOTS_PER_INCH = 144;

    /** A drawing has at least one slanted line or curve, or so many straight ones. */
    private static final int LINES_OF_A_DRAWING = 6;

    /** Straight lines with more words between them are frames of text. */
    private static final int MOST_WORDS = 3;

    private static final int LONG_WORD = 4;

    private static final int LONGEST_LABEL = 4;

    /** In points: signs further from each other are no word. */
    private static final float APART = 8;

    private PdfDrawings() {}

    /** The boxes of a page's drawings, in points; what belongs to tables and to lines of text is left out. */
    static List<PdfPage.Mark> find(PdfPage page, List<PdfTables.Table> tables) {
        List<PdfPage.Mark> strokes = new ArrayList<>();
        for (PdfPage.Mark mark : page.marks()) {
            boolean frame = mark.width() > page.width() * FRAME || mark.height() > page.height() * FRAME;
            if (!frame && tables.stream().noneMatch(table -> isWithin(mark, table)) && !isRuleOfText(page, mark)) {
                strokes.add(mark);
            }
        }
        List<PdfPage.Mark> drawings = new ArrayList<>();
        for (List<PdfPage.Mark> group : groups(strokes)) {
            PdfPage.Mark box = PdfPage.Mark.around(group, true);
            boolean drawn = group.stream().anyMatch(PdfPage.Mark::drawn) && group.size() > 1
                    || group.size() >= LINES_OF_A_DRAWING
                            && group.stream().anyMatch(mark -> mark.height() > mark.width());
            boolean worded = group.stream().noneMatch(PdfPage.Mark::drawn) && words(page, box) > MOST_WORDS;
            boolean large = box.width() >= LEAST_WIDTH && box.height() >= LEAST_HEIGHT;
            if (drawn && large && !worded && page.pictures().stream().noneMatch(picture -> covers(picture, box))) {
                drawings.add(withLabels(page, box));
            }
        }
        return drawings;
    }

    /** How many words of some length stand in a box; a frame around text has many. */
    private static int words(PdfPage page, PdfPage.Mark box) {
        int words = 0;
        int letters = 0;
        for (PdfPage.Glyph glyph : page.glyphs()) {
            boolean inside = box.isNear(new PdfPage.Mark(glyph.x(), glyph.y(), glyph.right(), glyph.y(), false), 0);
            boolean letter = inside && Character.isLetter(glyph.text().codePointAt(0));
            letters = letter ? letters + 1 : 0;
            words += letters == LONG_WORD ? 1 : 0;
        }
        return words;
    }

    private static boolean isWithin(PdfPage.Mark mark, PdfTables.Table table) {
        float right = table.xs().get(table.xs().size() - 1);
        float bottom = table.ys().get(table.ys().size() - 1);
        return mark.left() >= table.xs().get(0) - 3
                && mark.right() <= right + 3
                && mark.top() >= table.top() - 3
                && mark.bottom() <= bottom + 3;
    }

    /** A level rule alone is underlining, a gap or a line to write on. */
    private static boolean isRuleOfText(PdfPage page, PdfPage.Mark mark) {
        boolean level = mark.height() <= PdfPage.Mark.THIN && mark.width() > mark.height();
        return level
                && page.marks().stream()
                        .filter(other -> other != mark && (other.drawn() || other.height() > PdfPage.Mark.THIN))
                        .noneMatch(other -> other.isNear(mark, 3));
    }

    private static boolean covers(PdfPage.Picture picture, PdfPage.Mark box) {
        return picture.x() - 4 <= box.left()
                && picture.y() - 4 <= box.top()
                && picture.x() + picture.width() + 4 >= box.right()
                && picture.y() + picture.height() + 4 >= box.bottom();
    }

    private static List<List<PdfPage.Mark>> groups(List<PdfPage.Mark> strokes) {
        List<List<PdfPage.Mark>> groups = new ArrayList<>();
        for (PdfPage.Mark stroke : strokes) {
            List<PdfPage.Mark> joined = new ArrayList<>(List.of(stroke));
            groups.removeIf(group -> {
                boolean near = group.stream().anyMatch(other -> other.isNear(stroke, NEAR));
                if (near) {
                    joined.addAll(group);
                }
                return near;
            });
            groups.add(joined);
        }
        return groups;
    }

    /** Letters right beside a drawing name its parts: the box grows by those that stand alone. */
    private static PdfPage.Mark withLabels(PdfPage page, PdfPage.Mark box) {
        PdfPage.Mark grown = box;
        for (PdfPage.Glyph glyph : page.glyphs()) {
            PdfPage.Mark place = new PdfPage.Mark(glyph.x(), glyph.y() - glyph.size(), glyph.right(), glyph.y(), false);
            if (!glyph.text().isBlank() && place.isNear(box, APART) && isLabel(run(page, glyph))) {
                grown = PdfPage.Mark.around(List.of(grown, place), true);
            }
        }
        return grown;
    }

    /** The signs that stand together with one on its line. */
    private static String run(PdfPage page, PdfPage.Glyph glyph) {
        List<PdfPage.Glyph> line = page.glyphs().stream()
                .filter(other -> !other.text().isBlank() && Math.abs(other.y() - glyph.y()) < 2)
                .sorted(Comparator.comparingDouble(PdfPage.Glyph::x))
                .toList();
        int from = line.indexOf(glyph);
        int to = from;
        while (from > 0 && line.get(from).x() - line.get(from - 1).right() < APART) {
            from--;
        }
        while (to < line.size() - 1 && line.get(to + 1).x() - line.get(to).right() < APART) {
            to++;
        }
        return line.subList(Math.max(0, from), to + 1).stream()
                .map(PdfPage.Glyph::text)
                .collect(Collectors.joining());
    }

    /** A few signs that are no number or letter of a question or an option. */
    private static boolean isLabel(String run) {
        return run.length() <= LONGEST_LABEL && !run.endsWith(".") && !run.endsWith(")");
    }

    /** Cuts the boxes out of the rendered page. */
    static List<PdfPage.Picture> cutOut(PDDocument document, int page, List<PdfPage.Mark> boxes) throws IOException {
        if (boxes.isEmpty()) {
            return List.of();
        }
        BufferedImage image = new PDFRenderer(document).renderImageWithDPI(page, DOTS_PER_INCH, ImageType.RGB);
        float scale = DOTS_PER_INCH / 72;
        List<PdfPage.Picture> pictures = new ArrayList<>();
        for (PdfPage.Mark box : boxes) {
            int left = Math.max(0, Math.round((box.left() - MARGIN) * scale));
            int top = Math.max(0, Math.round((box.top() - MARGIN) * scale));
            int right = Math.min(image.getWidth(), Math.round((box.right() + MARGIN) * scale));
            int bottom = Math.min(image.getHeight(), Math.round((box.bottom() + MARGIN) * scale));
            if (right > left && bottom > top) {
                byte[] png = Pictures.png(image.getSubimage(left, top, right - left, bottom - top));
                PdfPictures.Stored file = new PdfPictures.Stored("image/png", png);
                pictures.add(new PdfPage.Picture(box.left(), box.top(), box.width(), box.height(), file));
            }
        }
        return pictures;
    }
}
