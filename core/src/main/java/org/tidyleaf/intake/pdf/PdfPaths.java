package org.tidyleaf.intake.pdf;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BooleanSupplier;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.util.Matrix;

/** Follows the path operators of a page (ISO 32000-1, 8.5) and notes the boxes of what is painted. */
final class PdfPaths {

    /** A page with more is a map or a pattern; what comes after that is not looked at. */
    private static final int MOST_MARKS = 20_000;

    private final List<PdfPage.Mark> painted = new ArrayList<>();
    private final List<PdfPage.Mark> open = new ArrayList<>();
    private final List<List<PdfPage.Mark>> shapes = new ArrayList<>();
    private final List<PdfBands.Fill> fills = new ArrayList<>();
    private float pageHeight;
    private float x;
    private float y;
    private float startX;
    private float startY;

    void begin(float height) {
        painted.clear();
        fills.clear();
        clear();
        pageHeight = height;
    }

    List<PdfPage.Mark> painted() {
        return List.copyOf(painted);
    }

    /** Boxes that were filled with a colour and not stroked; their edges are among what is painted. */
    List<PdfBands.Fill> fills() {
        return List.copyOf(fills);
    }

    /** @param colored whether what is filled now gets a colour that is no shade of grey */
    void take(Operator operator, List<COSBase> operands, Matrix place, BooleanSupplier colored) {
        float[] n = numbers(operands);
        switch (operator.getName()) {
            case "m" -> move(n, place);
            case "l" -> line(n, place);
            case "c" -> curve(n, 4, 6, place);
            case "v", "y" -> curve(n, 2, 4, place);
            case "h" -> close();
            case "re" -> rectangle(n, place);
            case "f", "F", "f*" -> {
                shapes.stream()
                        .filter(PdfBands::isBand)
                        .filter(shape -> colored.getAsBoolean())
                        .forEach(shape ->
                                fills.add(new PdfBands.Fill(PdfPage.Mark.around(shape, false), List.copyOf(shape))));
                paint();
            }
            case "S", "B", "B*" -> paint();
            case "s", "b", "b*" -> {
                close();
                paint();
            }
            case "n" -> clear();
            default -> {
                // Text, colours and states are followed elsewhere.
            }
        }
    }

    private static float[] numbers(List<COSBase> operands) {
        float[] numbers = new float[operands.size()];
        for (int i = 0; i < numbers.length; i++) {
            numbers[i] = operands.get(i) instanceof COSNumber number ? number.floatValue() : 0;
        }
        return numbers;
    }

    private void move(float[] n, Matrix place) {
        if (n.length >= 2) {
            to(n[0], n[1], place);
            startX = x;
            startY = y;
            shape();
        }
    }

    private void to(float userX, float userY, Matrix place) {
        var point = place.transformPoint(userX, userY);
        x = point.x;
        y = pageHeight - point.y;
    }

    private void line(float[] n, Matrix place) {
        if (n.length >= 2) {
            float fromX = x;
            float fromY = y;
            to(n[0], n[1], place);
            boolean slanted = Math.abs(x - fromX) > PdfPage.Mark.THIN && Math.abs(y - fromY) > PdfPage.Mark.THIN;
            add(fromX, fromY, x, y, slanted);
        }
    }

    private void curve(float[] n, int lastX, int needed, Matrix place) {
        if (n.length >= needed) {
            float fromX = x;
            float fromY = y;
            to(n[lastX], n[lastX + 1], place);
            add(fromX, fromY, x, y, true);
        }
    }

    private void close() {
        if (x != startX || y != startY) {
            boolean slanted = Math.abs(x - startX) > PdfPage.Mark.THIN && Math.abs(y - startY) > PdfPage.Mark.THIN;
            add(x, y, startX, startY, slanted);
            x = startX;
            y = startY;
        }
    }

    private void rectangle(float[] n, Matrix place) {
        if (n.length < 4) {
            return;
        }
        to(n[0], n[1], place);
        shape();
        float left = x;
        float bottom = y;
        to(n[0] + n[2], n[1] + n[3], place);
        boolean thin = Math.abs(x - left) <= PdfPage.Mark.THIN || Math.abs(y - bottom) <= PdfPage.Mark.THIN;
        if (thin) {
            add(left, bottom, x, y, false);
        } else {
            add(left, bottom, x, bottom, false);
            add(left, y, x, y, false);
            add(left, bottom, left, y, false);
            add(x, bottom, x, y, false);
        }
    }

    private void add(float x1, float y1, float x2, float y2, boolean drawn) {
        if (painted.size() + open.size() < MOST_MARKS) {
            PdfPage.Mark mark =
                    new PdfPage.Mark(Math.min(x1, x2), Math.min(y1, y2), Math.max(x1, x2), Math.max(y1, y2), drawn);
            open.add(mark);
            if (!shapes.isEmpty()) {
                shapes.get(shapes.size() - 1).add(mark);
            }
        }
    }

    private void shape() {
        if (shapes.size() < MOST_MARKS) {
            shapes.add(new ArrayList<>());
        }
    }

    private void paint() {
        painted.addAll(open);
        clear();
    }

    private void clear() {
        open.clear();
        shapes.clear();
    }
}
