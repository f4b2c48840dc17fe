package org.tidyleaf.intake.pdf;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/** What the texts in columns say of them: labels, numbers in turn, two lists side by side, words. */
final class PdfGridSigns {

    /** With its number, what is matched has so many words at most. */
    private static final int FEW_WORDS = 6;

    private static final Pattern FEW_WORDS_ALONE =
            Pattern.compile("\\p{L}[\\p{L}'\u2019-]*(?:\\s[\\p{L}'\u2019-]+){0,4}");

    private static final Pattern BARE_NUMBER = Pattern.compile("[(]?(\\d{1,3})[.)]?");

    private static final int MOST_PAIRS = 8;

    private static final Pattern LABEL = Pattern.compile(
            "[(\\[]?(?:(?:\\p{Lu}\\p{L}{0,11}\\s?)?\\d{1,3}(?:\\.\\d{1,2}){0,3}|\\p{L}|[ivx]{1,5}|[IVX]{1,5})[.):\\]]{0,2}|[\\p{So}\\p{Po}\\p{Pd}\u2022\u25cb]|[(\\[]\\s*[)\\]]");

    private static final Pattern NUMBERED = Pattern.compile("[(]?\\d{1,3}[.)](?:\\s|$)");

    private static final Pattern LETTERED = Pattern.compile("[(]?([A-Za-z])[.)](?:\\s|$)");

    private final PdfGridColumns grid;
    private final List<PdfGridTexts> all;
    private final int columns;

    PdfGridSigns(PdfGridColumns grid) {
        this.grid = grid;
        this.all = grid.all();
        this.columns = grid.columns();
    }

    static boolean isLabel(String text) {
        return LABEL.matcher(text).matches();
    }

    /** "4. …" behind the first column begins a question, so that the columns are those of a page. */
    boolean isNumbered(int place) {
        return IntStream.range(1, columns)
                .anyMatch(column -> !grid.goesOn(place, column)
                        && NUMBERED.matcher(all.get(place).text(column)).lookingAt());
    }

    boolean isNumberedTwice(int height) {
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
    boolean isCounted(int height) {
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
    boolean isOfWords() {
        boolean words = all.stream()
                .flatMap(texts -> texts.cells().stream())
                .flatMap(List::stream)
                .allMatch(part -> FEW_WORDS_ALONE.matcher(part.text()).matches());
        long both = all.stream().filter(texts -> texts.filled() > 1).count();
        return columns == 2 && all.size() <= MOST_PAIRS && words && both > 1 && all.size() - both <= 2;
    }

    /** "1. smoker" and few words in each line of the first column. */
    boolean isNumberedShortly(int height) {
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
    boolean isTwoLists(int height) {
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
}
