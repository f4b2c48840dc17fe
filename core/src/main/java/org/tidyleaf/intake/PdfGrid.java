package org.tidyleaf.intake;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.ToDoubleFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * Lines that leave white strips, as the table that they make: which of them begin a row, and which go on with a cell.
 *
 * @param table none where they make no table
 * @param wrapped whether its cells show that they are some, and not only texts at tabs
 * @param height how many of the lines this tells of
 */
record PdfGrid(Optional<PdfTables.Table> table, boolean wrapped, int height) {

    /** In points: cells keep so much room on either side of their text. */
    private static final float PADDING = 5.4f;

    /** In points: how exactly a row fills its cell. */
    private static final float EXACT = 1.5f;

    /** So many lines that begin with a capital have to fill their cells by chance to look like wrapped ones; in small letters one tells. */
    private static final int FEWEST_WRAPS = 2;

    /** In points: what differs less begins at one place. */
    private static final float SAME_PLACE = 2.5f;

    /** In points: baselines so near to one another are one. */
    private static final float SAME_LINE = 1;

    /** In sizes of letters: lines of one text are no nearer to one another. */
    private static final float LEAST_LINE = 0.9f;

    /** In sizes of letters: the space between two words. */
    private static final float SPACE = 0.25f;

    /** In sizes of letters: lines of one cell are no further apart. */
    private static final float LINE = 1.75f;

    /** What stands alone, so many times as far below as the nearest two lines, is no cell of the table. */
    private static final float FAR = 1.5f;

    /** Lines so many times as far apart as the nearest two are not of one cell. */
    private static final float PITCH = 1.12f;

    /** In sizes of letters: a label hangs no further before its text. */
    private static final float HANGING = 2.4f;

    /** The same where nothing else stands beside: "Question 1       Which …". */
    private static final float FARTHEST_HANGING = 4;

    /** With its number, what is matched has so many words at most. */
    private static final int FEW_WORDS = 6;

    private static final Pattern FEW_WORDS_ALONE =
            Pattern.compile("\\p{L}[\\p{L}'\u2019-]*(?:\\s[\\p{L}'\u2019-]+){0,4}");

    private static final Pattern BARE_NUMBER = Pattern.compile("[(]?(\\d{1,3})[.)]?");

    private static final int MOST_PAIRS = 8;

    /** So many lines head a part of the rows at most. */
    private static final int HEAD_LINES = 4;

    private static final Pattern LABEL = Pattern.compile(
            "[(\\[]?(?:(?:\\p{Lu}\\p{L}{0,11}\\s?)?\\d{1,3}(?:\\.\\d{1,2}){0,3}|\\p{L}|[ivx]{1,5}|[IVX]{1,5})[.):\\]]{0,2}|[\\p{So}\\p{Po}\\p{Pd}\u2022\u25cb]|[(\\[]\\s*[)\\]]");

    private static final Pattern NUMBERED = Pattern.compile("[(]?\\d{1,3}[.)](?:\\s|$)");

    private static final Pattern LETTERED = Pattern.compile("[(]?([A-Za-z])[.)](?:\\s|$)");

    /** What begins a paragraph of its own in a cell, or is one: "2. wax", "_A_ 2. wax", "3 A hive", "[2]". */
    private static final Pattern BEGINS =
            Pattern.compile("(?:_+\\p{L}?_*\\s*)?[(\\[]?(?:\\p{Lu}?\\d{1,3}|\\p{L}|[ivx]{1,4})[.)\\]](?:\\s|$).*"
                    + "|#\\d.*|\\d{1,3}\\s+\\p{Lu}.*|[(\\[].{0,10}[)\\]]|[\u2022\u25cb\u25a1\u2610\u2611\u2612*-].*");

    /** A line to write on, maybe with its unit. */
    private static final Pattern ROOM = Pattern.compile("[_.\u2026\\s]{4,}(?:\\s\\S{1,4})?");

    private static final Pattern ENDS = Pattern.compile(".*[.?!:]");

    /** What stands in each column of a line, from top to bottom. */
    private record Texts(PdfGridLine line, List<List<PdfGridLine.Part>> cells) {
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
                    least = distance > SAME_LINE ? Math.min(least, distance) : least;
                }
            }
            return least;
        }

        int filled() {
            return (int) cells.stream().filter(cell -> !cell.isEmpty()).count();
        }
    }

    /** The table that the first lines make; none where they are only parted by tabs, or are columns of a page. */
    static PdfGrid of(List<PdfGridLine> lines, List<PdfGridLine.Strip> strips) {
        List<PdfGridLine.Strip> parting = withoutHanging(lines, strips);
        if (parting.isEmpty()) {
            return new PdfGrid(Optional.empty(), false, lines.size());
        }
        return new Maker(lines, parting).make();
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
            boolean labels =
                    before.stream().allMatch(text -> LABEL.matcher(text).matches());
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

    private static final class Maker {
        private final List<PdfGridLine.Strip> strips;
        private final List<Texts> all = new ArrayList<>();
        private final int columns;

        /** Where the text of each column may reach. */
        private final float[] rights;

        private final float[] lefts;

        /** How far right a text of each column reaches. */
        private final float[] farthest;

        /** Columns whose texts wrap before the next one begins. */
        private final Set<Integer> narrow = new TreeSet<>();

        /** The least distance of two lines, in points. */
        private float pitch = Float.MAX_VALUE;

        Maker(List<PdfGridLine> lines, List<PdfGridLine.Strip> strips) {
            this.strips = strips;
            this.columns = strips.size() + 1;
            for (PdfGridLine line : lines) {
                all.add(new Texts(
                        line,
                        IntStream.range(0, columns)
                                .mapToObj(column -> line.between(from(column), to(column)))
                                .toList()));
            }
            for (int i = 0; i < all.size(); i++) {
                float above =
                        i == 0 ? Float.NEGATIVE_INFINITY : all.get(i - 1).line().bottom();
                pitch = Math.min(
                        pitch,
                        Math.min(all.get(i).line().top() - above, all.get(i).pitch()));
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

        PdfGrid make() {
            List<Integer> starts = new ArrayList<>();
            int wraps = 0;
            boolean spaced = areRowsApart();
            boolean mixed = false;
            int height = all.size();
            for (int i = 0; i < all.size(); i++) {
                Texts texts = all.get(i);
                boolean goesOn = goesOnAnywhere(i);
                boolean begins = texts.has(0) && !goesOn(i, 0);
                boolean several = !texts.has(0) && !goesOn && texts.filled() > 1;
                boolean further =
                        i > 0 && !goesOn && texts.filled() == 1 && (begins && !isWithin(i) || isFar(i) || isAlone(i));
                if (further) {
                    height = i;
                    break;
                }
                if (overlaps(texts) || texts.line().isUneven()) {
                    return new PdfGrid(Optional.empty(), false, all.size());
                }
                if (texts.line().isStacked() || !begins && isBesideOthers(starts, i)) {
                    wraps += texts.line().isStacked() || goesOnInSmall(i) ? FEWEST_WRAPS : goesOn ? 1 : 0;
                }
                mixed |= begins
                                && goesOnWithin(i)
                                && !LABEL.matcher(texts.text(0)).matches()
                        || !begins && isNumbered(i);
                if (i == 0 || begins || several || spaced && isApart(i)) {
                    starts.add(i);
                }
            }
            boolean lists = isTwoLists(height);
            boolean one = lists && (mixed || starts.size() < height);
            long beside = all.subList(0, height).stream()
                    .filter(texts -> texts.filled() > 1)
                    .count();
            boolean table =
                    beside > 1 && isAligned(height) && (one || !mixed && starts.size() > 1) && !isNumberedTwice(height);
            boolean wrapped = wraps >= FEWEST_WRAPS
                    || one && isNumberedShortly(height)
                    || isCounted(height)
                    || height == all.size() && isOfWords();
            Optional<PdfTables.Table> found =
                    table ? Optional.of(table(one ? List.of(0) : starts, height)) : Optional.empty();
            return new PdfGrid(found, wrapped, mixed && !table ? all.size() : height);
        }

        private boolean isApart(int place) {
            float above = all.get(place - 1).line().bottom();
            return all.get(place).line().top() - above > PITCH * pitch;
        }

        /** Whether there is more room above all rows with something in the first column than between the lines of a cell. */
        private boolean areRowsApart() {
            return IntStream.range(1, all.size())
                    .filter(place -> all.get(place).has(0) && !goesOn(place, 0))
                    .allMatch(this::isApart);
        }

        /** Whether the row that a line goes on with has more cells than one: alone it would be a paragraph. */
        private boolean isBesideOthers(List<Integer> starts, int place) {
            int from = starts.isEmpty() ? 0 : starts.get(starts.size() - 1);
            return all.subList(from, place + 1).stream().anyMatch(texts -> texts.filled() > 1);
        }

        /** "Part B: short answers" across the columns between rows of the table. */
        private boolean isWithin(int place) {
            return all.subList(place + 1, Math.min(all.size(), place + 1 + HEAD_LINES)).stream()
                    .anyMatch(texts -> texts.filled() > 1 && texts.has(0));
        }

        /** "4. …" behind the first column begins a question, so that the columns are those of a page. */
        private boolean isNumbered(int place) {
            return IntStream.range(1, columns)
                    .anyMatch(column -> !goesOn(place, column)
                            && NUMBERED.matcher(all.get(place).text(column)).lookingAt());
        }

        private boolean isNumberedTwice(int height) {
            return IntStream.range(0, columns)
                            .filter(column -> all.subList(0, height).stream()
                                            .filter(texts -> NUMBERED.matcher(texts.text(column))
                                                    .lookingAt())
                                            .count()
                                    > 1)
                            .count()
                    > 1;
        }

        /** "1    nectar" over "2    wax": numbers in turn, and something beside each. */
        private boolean isCounted(int height) {
            int last = -1;
            for (int i = 0; i < height; i++) {
                Matcher number = BARE_NUMBER.matcher(all.get(i).text(0));
                boolean alone = all.get(i).cells().get(0).size() == 1;
                int counted = number.matches() && alone ? Integer.parseInt(number.group(1)) : -1;
                boolean next = counted >= 0
                        && (last < 0 || counted == last + 1)
                        && all.get(i).has(1);
                if (!next && i > 0) {
                    return false;
                }
                last = counted;
            }
            return columns == 2 && height > 2;
        }

        /** A few lines of words in two columns, as what is matched stands side by side. */
        private boolean isOfWords() {
            boolean words = all.stream()
                    .flatMap(texts -> texts.cells().stream())
                    .flatMap(List::stream)
                    .allMatch(part -> FEW_WORDS_ALONE.matcher(part.text()).matches());
            long both = all.stream().filter(texts -> texts.filled() > 1).count();
            return columns == 2 && all.size() <= MOST_PAIRS && words && both > 1 && all.size() - both <= 2;
        }

        /** "1. smoker" and few words in each line of the first column. */
        private boolean isNumberedShortly(int height) {
            List<String> left = all.subList(0, height).stream()
                    .map(texts -> texts.text(0))
                    .filter(text -> !text.isEmpty())
                    .toList();
            return left.stream().allMatch(text -> text.split("\\s+").length <= FEW_WORDS)
                    && left.stream()
                                    .filter(text -> NUMBERED.matcher(text).lookingAt())
                                    .count()
                            >= left.size() - 1;
        }

        /** What is matched on the left, and on the right letters from A on: two cells with a list in each. */
        private boolean isTwoLists(int height) {
            if (columns != 2) {
                return false;
            }
            char next = 'a';
            for (int i = 0; i < height; i++) {
                Matcher left = LETTERED.matcher(all.get(i).text(0));
                Matcher right = LETTERED.matcher(all.get(i).text(1));
                if (left.lookingAt()) {
                    return false;
                }
                if (right.lookingAt()) {
                    if (Character.toLowerCase(right.group(1).charAt(0)) != next) {
                        return false;
                    }
                    next++;
                }
            }
            return next > 'b';
        }

        /** Whether texts of one column overlap: their rows are not of one line then. A cell in the middle of its height stands beside the lines of another. */
        private static boolean overlaps(Texts texts) {
            boolean wraps = false;
            for (List<PdfGridLine.Part> cell : texts.cells()) {
                for (int i = 1; i < cell.size(); i++) {
                    float distance = cell.get(i).y() - cell.get(i - 1).y();
                    boolean beside = distance < SAME_LINE;
                    if (!beside && distance < texts.line().size() * LEAST_LINE) {
                        return true;
                    }
                    wraps |= !beside;
                }
            }
            return texts.line().isStacked() && !wraps;
        }

        /** Whether the texts of each column but the first begin, end or have their middle at one place. */
        private boolean isAligned(int height) {
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
        private boolean isAlone(int place) {
            return IntStream.range(0, columns)
                    .filter(all.get(place)::has)
                    .allMatch(column ->
                            all.stream().filter(texts -> texts.has(column)).count() == 1);
        }

        /** Whether it stands farther off than the lines of a cell. */
        private boolean isFar(int place) {
            PdfGridLine line = all.get(place).line();
            return line.top() - all.get(place - 1).line().bottom() > FAR * pitch;
        }

        /** Whether a cell goes on from the line above within a sentence, and not only where that line happens to be full. */
        private boolean goesOnWithin(int place) {
            return IntStream.range(0, columns)
                    .anyMatch(column -> goesOn(place, column)
                            && isWithinSentence(
                                    all.get(place - 1).last(column),
                                    all.get(place).first(column)));
        }

        private static boolean isWithinSentence(PdfGridLine.Part above, PdfGridLine.Part part) {
            return !ENDS.matcher(above.text()).matches()
                    || !Character.isUpperCase(part.text().codePointAt(0));
        }

        private boolean goesOnInSmall(int place) {
            return IntStream.range(0, columns)
                    .anyMatch(column -> goesOn(place, column)
                            && Character.isLowerCase(all.get(place).text(column).codePointAt(0)));
        }

        private boolean goesOnAnywhere(int place) {
            return IntStream.range(0, columns).anyMatch(column -> goesOn(place, column));
        }

        /** Whether a cell goes on from the line above, where its first word had no room. */
        private boolean goesOn(int place, int column) {
            boolean both = place > 0
                    && all.get(place).has(column)
                    && all.get(place - 1).has(column);
            if (!both || all.get(place - 1).isSpread(column)) {
                return false;
            }
            PdfGridLine.Part above = all.get(place - 1).last(column);
            PdfGridLine.Part part = all.get(place).first(column);
            float size = all.get(place).line().size();
            // A column without texts in these lines may stand between this one and the next.
            boolean alone = all.get(place).filled() == 1
                    && Character.isLowerCase(part.text().codePointAt(0))
                    && !ENDS.matcher(above.text()).matches();
            float limit = alone ? farthest[column] : rights[column];
            boolean goesOn = part.y() - above.y() < Math.min(LINE * size, PITCH * pitch)
                    && above.right() + SPACE * size + part.firstWord() > limit - EXACT
                    && !LABEL.matcher(above.text()).matches()
                    && !ROOM.matcher(above.text()).matches()
                    && !ROOM.matcher(part.text()).matches()
                    && !LABEL.matcher(part.text()).matches()
                    && !BEGINS.matcher(part.text()).matches()
                    && (isWithinSentence(above, part)
                            || column + 1 < columns && all.get(place).filled() == 1);
            if (goesOn && alone) {
                narrow.add(column);
            }
            return goesOn;
        }

        private PdfTables.Table table(List<Integer> starts, int height) {
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
            List<Float> limits = new ArrayList<>(xs.subList(1, xs.size()));
            narrow.forEach(column -> limits.set(column, Math.min(limits.get(column), farthest[column] + PADDING)));
            return new PdfTables.Table(xs, ys, rules, List.copyOf(limits));
        }
    }
}
