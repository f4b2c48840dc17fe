package org.tidyleaf.intake.pdf;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Lines that leave white strips, as the table that they make: which of them begin a row, and which go on with a cell.
 *
 * @param table none where they make no table
 * @param wrapped whether its cells show that they are some, and not only texts at tabs
 * @param height how many of the lines this tells of
 */
record PdfGrid(Optional<PdfTables.Table> table, boolean wrapped, int height) {

    /** So many lines that begin with a capital have to fill their cells by chance to look like wrapped ones; in small letters one tells. */
    private static final int FEWEST_WRAPS = 2;

    /** In sizes of letters: a label hangs no further before its text. */
    private static final float HANGING = 2.4f;

    /** The same where nothing else stands beside: "Question 1       Which …". */
    private static final float FARTHEST_HANGING = 4;

    /** The table that the first lines make; none where they are only parted by tabs, or are columns of a page. */
    static PdfGrid of(List<PdfGridLine> lines, List<PdfGridLine.Strip> strips) {
        List<PdfGridLine.Strip> parting = withoutHanging(lines, strips);
        if (parting.isEmpty()) {
            return new PdfGrid(Optional.empty(), false, lines.size());
        }
        return of(new PdfGridColumns(lines, parting));
    }

    /** Strips between labels and the texts that hang behind them part no cells, but for numbers in a first column of several. */
    private static List<PdfGridLine.Strip> withoutHanging(List<PdfGridLine> lines, List<PdfGridLine.Strip> strips) {
        List<PdfGridLine.Strip> parting = new ArrayList<>();
        float from = 0;
        for (PdfGridLine.Strip strip : strips) {
            float begin = from;
            List<String> before = lines.stream()
                    .flatMap(line -> line.between(begin, strip.left()).stream())
                    .map(PdfGridLine.Part::text)
                    .toList();
            boolean labels = before.stream().allMatch(PdfGridSigns::isLabel);
            if (!labels
                    || strip.width()
                            > (strips.size() > 1 ? HANGING : FARTHEST_HANGING)
                                    * lines.get(0).size()) {
                parting.add(strip);
                from = strip.right();
            }
        }
        return parting;
    }

    private static PdfGrid of(PdfGridColumns columns) {
        List<PdfGridTexts> all = columns.all();
        PdfGridSigns signs = new PdfGridSigns(columns);
        int height = height(columns);
        boolean uneven = all.subList(0, height).stream()
                .anyMatch(texts -> texts.overlaps() || texts.line().isUneven());
        if (uneven) {
            return new PdfGrid(Optional.empty(), false, all.size());
        }
        List<Integer> starts = new ArrayList<>();
        int wraps = 0;
        boolean spaced = columns.areRowsApart();
        boolean mixed = false;
        for (int i = 0; i < height; i++) {
            PdfGridTexts texts = all.get(i);
            boolean goesOn = columns.goesOnAnywhere(i);
            boolean begins = texts.has(0) && !columns.goesOn(i, 0);
            boolean several = !texts.has(0) && !goesOn && texts.filled() > 1;
            if (texts.line().isStacked() || !begins && columns.isBesideOthers(starts, i)) {
                wraps += texts.line().isStacked() || columns.goesOnInSmall(i) ? FEWEST_WRAPS : goesOn ? 1 : 0;
            }
            mixed |= begins && columns.goesOnWithin(i) && !PdfGridSigns.isLabel(texts.text(0))
                    || !begins && signs.isNumbered(i);
            if (i == 0 || begins || several || spaced && columns.isApart(i)) {
                starts.add(i);
            }
        }
        // Two lists in two cells are one row: their lines have nothing to do with one another.
        boolean one = signs.isTwoLists(height) && (mixed || starts.size() < height);
        boolean table = columns.isBeside(height)
                && columns.isAligned(height)
                && (one || !mixed && starts.size() > 1)
                && !signs.isNumberedTwice(height);
        boolean wrapped = wraps >= FEWEST_WRAPS
                || one && signs.isNumberedShortly(height)
                || signs.isCounted(height)
                || height == all.size() && signs.isOfWords();
        Optional<PdfTables.Table> found =
                table ? Optional.of(columns.table(one ? List.of(0) : starts, height)) : Optional.empty();
        return new PdfGrid(found, wrapped, mixed && !table ? all.size() : height);
    }

    /** How many lines there are before the first that stands alone and goes on with no cell. */
    private static int height(PdfGridColumns columns) {
        List<PdfGridTexts> all = columns.all();
        for (int i = 1; i < all.size(); i++) {
            boolean begins = all.get(i).has(0) && !columns.goesOn(i, 0);
            boolean alone = all.get(i).filled() == 1 && !columns.goesOnAnywhere(i);
            if (alone && (begins && !columns.isWithin(i) || columns.isFar(i) || columns.isAlone(i))) {
                return i;
            }
        }
        return all.size();
    }
}
