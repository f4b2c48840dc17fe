package org.tidyleaf.reading;

import java.util.Optional;

/** ①, ②, ⓐ, Ⓑ, ⑴, ⒜: numbers and letters that are one sign with their circle or brackets (Unicode's Enclosed Alphanumerics). */
final class CircledSigns {

    private static final char FIRST = '\u2460';
    private static final char LAST = '\u24e9';

    private static final int TWENTY = 20;
    private static final int ALPHABET = 26;

    private CircledSigns() {}

    /**
     * One row of the block.
     *
     * @param first its sign for 1 or A
     * @param count how many follow one another
     * @param letter the letter of the first sign; 0 for numbers
     */
    private record Row(char first, int count, char letter) {

        boolean has(char sign) {
            return sign >= first && sign < first + count;
        }
    }

    private static final Row[] ROWS = {
        new Row('\u2460', TWENTY, (char) 0),
        new Row('\u2474', TWENTY, (char) 0),
        new Row('\u249c', ALPHABET, 'a'),
        new Row('\u24b6', ALPHABET, 'A'),
        new Row('\u24d0', ALPHABET, 'a'),
    };

    /** The label that begins at a place of a text, if it is such a sign. */
    static Optional<Label> at(String text, int at, int end) {
        if (at >= end || !isOne(text.charAt(at))) {
            return Optional.empty();
        }
        char sign = text.charAt(at);
        int behind = at + 1;
        while (behind < end && Character.isWhitespace(text.charAt(behind))) {
            behind++;
        }
        for (Row row : ROWS) {
            if (row.has(sign)) {
                int ordinal = sign - row.first() + 1;
                Label.Kind kind = row.letter() == 0 ? Label.Kind.NUMBER : Label.Kind.LETTER;
                return Optional.of(new Label(kind, ordinal, plain(sign), String.valueOf(row.first()), at, behind));
            }
        }
        return Optional.empty();
    }

    private static boolean isOne(char sign) {
        return sign >= FIRST && sign <= LAST;
    }

    private static String plain(char sign) {
        for (Row row : ROWS) {
            if (row.has(sign)) {
                int place = sign - row.first();
                return row.letter() == 0 ? String.valueOf(place + 1) : String.valueOf((char) (row.letter() + place));
            }
        }
        return String.valueOf(sign);
    }

    /** A key's text with plain numbers and letters in place of such signs. */
    static String plain(String text) {
        if (text.chars().noneMatch(sign -> isOne((char) sign))) {
            return text;
        }
        StringBuilder plain = new StringBuilder();
        text.chars().forEach(sign -> plain.append(plain((char) sign)));
        return plain.toString();
    }
}
