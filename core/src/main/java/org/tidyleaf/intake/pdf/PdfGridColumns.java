package org.tidyleaf.intake.pdf;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/** Lines cut into the columns between white strips: which of them go on with a cell of the line above, by the room that it left. */
final class PdfGridColumns {

    /** In points: cells keep so much room on either side of their text. */
    private static final float PADDING = 5.4f;

    /** In points: how exactly a row fills its cell. */
    private static final float EXACT = 1.5f;

    /** In points: what differs less begins at one place. */
    private static final float SAME_PLACE = 2.5f;

    /** In sizes of letters: the space between two words. */
    private static final float SPACE = 0.25f;

    /** In sizes of letters: lines of one cell are no further apart. */
    private static final float LINE = 1.75f;

    /** What stands alone, so many times as far below as the nearest two lines, is no cell of the table. */
    private static final float FAR = 1.5f;

    /** Lines so many times as far apart as the nearest two are not of one cell. */
    private static final float PITCH = 1.12f;

    /** So many lines head a part of the rows at most. */
    private static final int HEAD_LINES = 4;

    /** What begins a paragraph of its own in a cell, or is one: "2. wax", "_A_ 2. wax", "3 A hive", "[2]". */
    private static final Pattern BEGINS =
            Pattern.compile("(?:_+\\p{L}?_*\\s*)?[(\\[]?(?:\\p{Lu}?\\d{1,3}|\\p{L}|[ivx]{1,4})[.)\\]](?:\\s|$).*"
                    + "|#\\d.*|\\d{1,3}\\s+\\p{Lu}.*|[(\\[].{0,10}[)\\]]|[\u2022\u25cb\u25a1\u2610\u2611\u2612*-].*");

    /** A line to write on, maybe with its unit. */
    private static final Pattern ROOM = Pattern.compile("[_.\u2026\\s]{4,}(?:\\s\\S{1,4})?");

    private static final Pattern ENDS = Pattern.compile(".*[.?!:]");

    private final List<PdfGridLine.Strip> strips;
    private final List<PdfGridTexts> all = new ArrayList<>();
    private final int columns;

    /** Where the text of each column may reach. */
    private final float[] rights;

    private final float[] lefts;

    /** How far right a text of each column reaches. */
    private final float[] farthest;

    /** The least distance of two lines, in points. */
    private float pitch = Float.MAX_VALUE;

    PdfGridColumns(List<PdfGridLine> lines, List<PdfGridLine.Strip> strips) {
        this.strips = strips;
        this.columns = strips.size() + 1;
        for (PdfGridLine line : lines) {
            all.add(new PdfGridTexts(
                    line,
                    IntStream.range(0, columns)
                            .mapToObj(column -> line.between(from(column), to(column)))
                            .toList()));
        }
        for (int i = 0; i < all.size(); i++) {
            float above =
                    i == 0 ? Float.NEGATIVE_INFINITY : all.get(i - 1).line().bottom();
            pitch = Math.min(
                    pitch, Math.min(all.get(i).line().top() - above, all.get(i).pitch()));
        }
        rights = new float[columns];
        lefts = new float[columns];
        farthest = new float[columns];
        for (int column = 0; column < columns; column++) {
            farthest[column] = farthest(column);
            rights[column] = farthest[column];
            lefts[column] = nearest(column);
        }
        for (int column = 0; column + 1 < columns; column++) {
            rights[column] = Math.max(rights[column], lefts[column + 1] - 2 * PADDING);
        }
    }

    List<PdfGridTexts> all() {
        return List.copyOf(all);
    }

    int columns() {
        return columns;
    }

    /** Whether texts stand beside one another in more than one of the first lines. */
    boolean isBeside(int height) {
        return all.subList(0, height).stream()
                        .filter(texts -> texts.filled() > 1)
                        .count()
                > 1;
    }

    private float from(int column) {
        return column == 0 ? 0 : strips.get(column - 1).right();
    }

    private float to(int column) {
        return column + 1 == columns ? Float.MAX_VALUE : strips.get(column).left();
    }

    private float farthest(int column) {
        return (float) all.stream()
                .flatMap(texts -> texts.cells().get(column).stream())
                .mapToDouble(PdfGridLine.Part::right)
                .max()
                .orElse(from(column));
    }

    private float nearest(int column) {
        return (float) all.stream()
                .flatMap(texts -> texts.cells().get(column).stream())
                .mapToDouble(PdfGridLine.Part::left)
                .min()
                .orElse(to(column));
    }

    boolean isApart(int place) {
        float above = all.get(place - 1).line().bottom();
        return all.get(place).line().top() - above > PITCH * pitch;
    }

    /** Whether there is more room above all rows with something in the first column than between the lines of a cell. */
    boolean areRowsApart() {
        return IntStream.range(1, all.size())
                .filter(place -> all.get(place).has(0) && !goesOn(place, 0))
                .allMatch(this::isApart);
    }

    /** Whether the row that a line goes on with has more cells than one: alone it would be a paragraph. */
    boolean isBesideOthers(List<Integer> starts, int place) {
        int from = starts.isEmpty() ? 0 : starts.get(starts.size() - 1);
        return all.subList(from, place + 1).stream().anyMatch(texts -> texts.filled() > 1);
    }

    /** "Part B: short answers" across the columns between rows of the table. */
    boolean isWithin(int place) {
        return all.subList(place + 1, Math.min(all.size(), place + 1 + HEAD_LINES)).stream()
                .anyMatch(texts -> texts.filled() > 1 && texts.has(0));
    }

    /** Whether the texts of each column but the first begin, end or have their middle at one place. */
    boolean isAligned(int height) {
        return IntStream.range(1, columns)
                .allMatch(column -> isAligned(height, column, PdfGridLine.Part::left)
                        || isAligned(height, column, PdfGridLine.Part::right)
                        || isAligned(height, column, part -> (part.left() + part.right()) / 2));
    }

    private boolean isAligned(int height, int column, ToDoubleFunction<PdfGridLine.Part> edge) {
        List<Double> places = IntStream.range(0, height)
                .filter(place -> all.get(place).has(column) && !goesOn(place, column))
                .mapToObj(place -> edge.applyAsDouble(all.get(place).first(column)))
                .toList();
        long most = places.stream()
                .mapToLong(place -> places.stream()
                        .filter(other -> Math.abs(other - place) < SAME_PLACE)
                        .count())
                .max()
                .orElse(0);
        return most * 3 >= places.size() * 2;
    }

    /** Whether nothing else stands in its column. */
    boolean isAlone(int place) {
        return IntStream.range(0, columns)
                .filter(all.get(place)::has)
                .allMatch(column ->
                        all.stream().filter(texts -> texts.has(column)).count() == 1);
    }

    /** Whether it stands farther off than the lines of a cell. */
    boolean isFar(int place) {
        PdfGridLine line = all.get(place).line();
        return line.top() - all.get(place - 1).line().bottom() > FAR * pitch;
    }

    /** Whether a cell goes on from the line above within a sentence, and not only where that line happens to be full. */
    boolean goesOnWithin(int place) {
        return IntStream.range(0, columns)
                .anyMatch(column -> goesOn(place, column)
                        && isWithinSentence(
                                all.get(place - 1).last(column), all.get(place).first(column)));
    }

    private static boolean isWithinSentence(PdfGridLine.Part above, PdfGridLine.Part part) {
        return !ENDS.matcher(above.text()).matches()
                || !Character.isUpperCase(part.text().codePointAt(0));
    }

    boolean goesOnInSmall(int place) {
        return IntStream.range(0, columns)
                .anyMatch(column -> goesOn(place, column)
                        && Character.isLowerCase(all.get(place).text(column).codePointAt(0)));
    }

    boolean goesOnAnywhere(int place) {
        return IntStream.range(0, columns).anyMatch(column -> goesOn(place, column));
    }

    /** Whether a cell goes on from the line above, where its first word had no room. */
    boolean goesOn(int place, int column) {
        boolean both =
                place > 0 && all.get(place).has(column) && all.get(place - 1).has(column);
        if (!both || all.get(place - 1).isSpread(column)) {
            return false;
        }
        PdfGridLine.Part above = all.get(place - 1).last(column);
        PdfGridLine.Part part = all.get(place).first(column);
        float size = all.get(place).line().size();
        // A column without texts in these lines may stand between this one and the next.
        float limit = mayGoOnAlone(place, column) ? farthest[column] : rights[column];
        return part.y() - above.y() < Math.min(LINE * size, PITCH * pitch)
                && above.right() + SPACE * size + part.row().firstWord() > limit - EXACT
                && !PdfGridSigns.isLabel(above.text())
                && !ROOM.matcher(above.text()).matches()
                && !ROOM.matcher(part.text()).matches()
                && !PdfGridSigns.isLabel(part.text())
                && !BEGINS.matcher(part.text()).matches()
                && (isWithinSentence(above, part)
                        || column + 1 < columns && all.get(place).filled() == 1);
    }

    /** Whether nothing else stands beside a text in small letters that goes on within a sentence. */
    private boolean mayGoOnAlone(int place, int column) {
        return all.get(place).filled() == 1
                && Character.isLowerCase(all.get(place).first(column).text().codePointAt(0))
                && !ENDS.matcher(all.get(place - 1).last(column).text()).matches();
    }

    /** Whether texts of a column wrap before the next one begins. */
    private boolean isNarrow(int height, int column) {
        return IntStream.range(1, height).anyMatch(place -> goesOn(place, column) && mayGoOnAlone(place, column));
    }

    /** The table that the first lines make, with rows from some of them on; its cells reach as far as their texts may. */
    PdfTables.Table table(List<Integer> starts, int height) {
        List<Float> xs = new ArrayList<>();
        xs.add(lefts[0] - PADDING);
        for (int column = 1; column < columns; column++) {
            xs.add(Math.max(lefts[column] - PADDING, (strips.get(column - 1).left() + lefts[column]) / 2));
        }
        xs.add(rights[columns - 1] + PADDING);
        List<Float> ys = new ArrayList<>();
        PdfGridLine first = all.get(0).line();
        ys.add(first.top() - first.size());
        for (int start : starts) {
            if (start > 0) {
                PdfGridLine line = all.get(start).line();
                ys.add(Math.max(all.get(start - 1).line().bottom(), line.top() - line.size()));
            }
        }
        PdfGridLine last = all.get(height - 1).line();
        ys.add(last.bottom() + last.size() * SPACE);
        List<PdfPage.Mark> rules = xs.stream()
                .map(x -> new PdfPage.Mark(x, ys.get(0), x, ys.get(ys.size() - 1), false))
                .toList();
        List<Float> limits = IntStream.range(0, columns)
                .mapToObj(column -> isNarrow(height, column)
                        ? Math.min(xs.get(column + 1), farthest[column] + PADDING)
                        : xs.get(column + 1))
                .toList();
        return new PdfTables.Table(xs, ys, rules, limits);
    }
}
