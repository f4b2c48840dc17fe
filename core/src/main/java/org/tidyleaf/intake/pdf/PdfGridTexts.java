package org.tidyleaf.intake.pdf;

import java.util.List;

/** What stands in each column of a line, from top to bottom. */
record PdfGridTexts(PdfGridLine line, List<List<PdfGridLine.Part>> cells) {

    /** In sizes of letters: lines of one text are no nearer to one another. */
    private static final float LEAST_LINE = 0.9f;

    boolean has(int column) {
        return !cells.get(column).isEmpty();
    }

    PdfGridLine.Part first(int column) {
        return cells.get(column).get(0);
    }

    /** Whether it holds more on its last line than a label and what hangs behind it. */
    boolean isSpread(int column) {
        return cells.get(column).stream()
                        .filter(part -> part.y() == last(column).y())
                        .count()
                > 2;
    }

    PdfGridLine.Part last(int column) {
        return cells.get(column).get(cells.get(column).size() - 1);
    }

    String text(int column) {
        return has(column) ? first(column).text() : "";
    }

    /** The least distance of two lines within a cell; endless where each has one line. */
    float pitch() {
        float least = Float.MAX_VALUE;
        for (List<PdfGridLine.Part> cell : cells) {
            for (int i = 1; i < cell.size(); i++) {
                float distance = cell.get(i).y() - cell.get(i - 1).y();
                least = distance > PdfGridLine.SAME_LINE ? Math.min(least, distance) : least;
            }
        }
        return least;
    }

    int filled() {
        return (int) cells.stream().filter(cell -> !cell.isEmpty()).count();
    }

    /** Whether texts of one column overlap: their rows are not of one line then. A cell in the middle of its height stands beside the lines of another. */
    boolean overlaps() {
        boolean wraps = false;
        for (List<PdfGridLine.Part> cell : cells) {
            for (int i = 1; i < cell.size(); i++) {
                float distance = cell.get(i).y() - cell.get(i - 1).y();
                boolean beside = distance < PdfGridLine.SAME_LINE;
                if (!beside && distance < line.size() * LEAST_LINE) {
                    return true;
                }
                wraps |= !beside;
            }
        }
        return line.isStacked() && !wraps;
    }
}
