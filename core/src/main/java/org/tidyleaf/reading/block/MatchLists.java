package org.tidyleaf.reading.block;

import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;

/** Where lists end whose entries are to be matched: one below the other, or numbers with room for a letter before each. */
public final class MatchLists {

    public static final Pattern LIST_HEAD = Vocabulary.pattern(
            "\\W*" + Vocabulary.ALL.either("list_head") + "\\s*[-\u2013:]?\\s*(?:[A-Z]|[IVX]{1,3}|\\d)\\W*");

    private static final Pattern PAIRING = Pattern.compile(
            "[(\\[]?\\p{L}[).:\\]]\\s*\\p{L}{1,3}\\s*[-\u2013:\u2192]\\s*\\w{1,3}(?:[,;]?\\s+\\p{L}{1,3}\\s*[-\u2013:\u2192]\\s*\\w{1,3})+");

    private static final Pattern BLANK_BEFORE =
            Pattern.compile("(?:[(\\[]\\s*\\d?\\s*[)\\]]|_{2,}\\s?\\d?\\s?_*|[\u2610\u25a1])\\s*\\p{L}.*");

    /** More lines than that are no two lists to compare. */
    private static final int MOST_LISTED = 16;

    private final List<Cues> all;

    MatchLists(List<Cues> all) {
        this.all = all;
    }

    private Optional<Label> number(int piece) {
        return all.get(piece).number();
    }

    /** The end of numbers that count on with a blank for a letter before each; the start where there are none. */
    int numbersWithMargin(int from) {
        int end = from;
        while (end < all.size()
                && all.get(end).margin().filter(margin -> !margin.judgement()).isPresent()
                && isNext(end, Label.Kind.NUMBER, from)) {
            end++;
        }
        return end;
    }

    /** The end of lettered targets and numbers with a blank before them, which go on counting; the start if there are none. */
    int lettersThenNumbers(int from) {
        int numbers = from;
        while (numbers < all.size() && isLettered(numbers)) {
            numbers++;
        }
        int end = numbersWithMargin(numbers);
        if (end == numbers) {
            end = shortNumbers(numbers);
        }
        return numbers - from >= PairBlocks.FEWEST_PAIRS && end - numbers >= PairBlocks.FEWEST_PAIRS ? end : from;
    }

    /** The end of short numbered lines that ask nothing; the start where letters or boxes to choose from stand below any. */
    private int shortNumbers(int from) {
        int end = from;
        while (end < all.size()
                && isNext(end, Label.Kind.NUMBER, from)
                && all.get(end).is(Trait.SHORT)
                && !all.get(end).is(Trait.QUESTION_MARK)
                && !all.get(end).is(Trait.GAP)) {
            end++;
        }
        return end < all.size() && isLettered(end) ? from : end;
    }

    /** Words by numbers and, right below them, at least as many lines with room for a number before each. */
    int numbersThenBlanks(int from) {
        int first = isListHead(from) ? from + 1 : from;
        int blanks = endOfList(first, Label.Kind.NUMBER);
        int second = isListHead(blanks) ? blanks + 1 : blanks;
        int end = second;
        while (end < all.size() && BLANK_BEFORE.matcher(all.get(end).text()).matches()) {
            end++;
        }
        return blanks - first < PairBlocks.FEWEST_PAIRS || end - second < blanks - first ? from : end;
    }

    /** Words by numbers or numerals and, right below them, at least as many lettered meanings; each list may have a head. */
    int twoLists(int from) {
        int first = isListHead(from) ? from + 1 : from;
        int heads = endOfList(first, Label.Kind.ROMAN) > first + 1
                ? endOfList(first, Label.Kind.ROMAN)
                : endOfList(first, Label.Kind.NUMBER);
        int second = isListHead(heads) ? heads + 1 : heads;
        int end = second;
        while (end < all.size() && isLetter(end, end - second + 1)) {
            end++;
        }
        if (heads - first < PairBlocks.FEWEST_PAIRS || end - second < heads - first) {
            return lettersThenNumerals(from, first);
        }
        return end;
    }

    /** "a. plane", "b. saw" and below them "i. cuts", "ii. smooths". */
    private int lettersThenNumerals(int from, int first) {
        int letters = first;
        while (letters < all.size() && isLetter(letters, letters - first + 1)) {
            letters++;
        }
        int second = isListHead(letters) ? letters + 1 : letters;
        int end = endOfList(second, Label.Kind.ROMAN);
        return letters - first < PairBlocks.FEWEST_PAIRS || end - second < letters - first ? from : end;
    }

    /** The place behind labels of a kind that count from the first one on and ask nothing. */
    private int endOfList(int first, Label.Kind kind) {
        int end = first;
        while (end < all.size()
                && (kind == Label.Kind.NUMBER ? isNext(end, kind, first) : isNumeral(end, end - first + 1))
                && !all.get(end).is(Trait.QUESTION_MARK)) {
            end++;
        }
        return end;
    }

    private boolean isNumeral(int piece, int ordinal) {
        return all.get(piece).is(Trait.SHORT)
                && all.get(piece).labels().stream()
                        .anyMatch(label -> label.kind() == Label.Kind.ROMAN && label.ordinal() == ordinal);
    }

    /** "Column I", "List B" and nothing else. */
    private boolean isListHead(int piece) {
        return piece < all.size() && LIST_HEAD.matcher(all.get(piece).text()).matches();
    }

    boolean isNext(int piece, Label.Kind kind, int from) {
        Optional<Label> label = number(piece);
        Optional<Label> above = piece == from ? Optional.empty() : number(piece - 1);
        return label.filter(l -> l.kind() == kind).isPresent()
                && all.get(piece).is(Trait.SHORT)
                && (piece == from
                        || above.filter(a -> a.ordinal() + 1 == label.get().ordinal())
                                .isPresent());
    }

    boolean isLettered(int piece) {
        return all.get(piece).labels().stream()
                .anyMatch(label -> label.kind() == Label.Kind.LETTER || label.kind() == Label.Kind.ROMAN);
    }

    private boolean isLetter(int piece, int ordinal) {
        return all.get(piece).labels().stream()
                .anyMatch(label -> label.kind() == Label.Kind.LETTER && label.ordinal() == ordinal);
    }

    /** The first of several options below that say which goes with which; the start if there are none. */
    int pairingsBelow(int from) {
        int end = from;
        while (end + 1 < all.size() && end - from < MOST_LISTED && !isPairing(end)) {
            end++;
        }
        return end + 1 < all.size() && isPairing(end) && isPairing(end + 1) ? end : from;
    }

    /** "(A) P-3, Q-1, R-2": an option that says which goes with which. */
    private boolean isPairing(int piece) {
        return isLettered(piece) && PAIRING.matcher(all.get(piece).text()).matches();
    }

    boolean isFurtherTarget(int piece) {
        return piece < all.size()
                && all.get(piece).is(Trait.SHORT)
                && all.get(piece).labels().stream()
                        .filter(label -> label.kind() == Label.Kind.LETTER)
                        .anyMatch(label -> all.get(piece - 1).labels().stream()
                                .anyMatch(above ->
                                        above.shape().equals(label.shape()) && above.ordinal() == label.ordinal() - 1));
    }
}
