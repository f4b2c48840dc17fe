package org.tidyleaf.reading.line;

import java.text.Normalizer;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Label;

/**
 * ①, ②, ⓐ, Ⓑ, ⑴, ⒜, ⒈: numbers and letters that are one sign with their circle, brackets or full stop. They are Unicode's
 * block "Enclosed Alphanumerics"; what is inside of each is its compatibility decomposition (NFKC).
 */
public final class CircledSigns {

    private static final char FIRST = '\u2460';
    private static final char LAST = '\u24e9';

    private static final Pattern INSIDE = Pattern.compile("([(]?)(\\d{1,2}|[A-Za-z])([).]?)");

    private CircledSigns() {}

    /** The label that begins at a place of a text, if it is such a sign. */
    static Optional<Label> at(String text, int at, int end) {
        if (at >= end || !isOne(text.charAt(at))) {
            return Optional.empty();
        }
        Matcher inside = inside(text.charAt(at));
        int behind = at + 1;
        while (behind < end && Character.isWhitespace(text.charAt(behind))) {
            behind++;
        }
        String printed = inside.group(2);
        boolean number = Character.isDigit(printed.charAt(0));
        int ordinal = number ? Integer.parseInt(printed) : Character.toUpperCase(printed.charAt(0)) - 'A' + 1;
        String series = number ? "9" : Character.isUpperCase(printed.charAt(0)) ? "A" : "a";
        Label.Kind kind = number ? Label.Kind.NUMBER : Label.Kind.LETTER;
        return Optional.of(new Label(
                kind, ordinal, printed, "one sign " + inside.group(1) + series + inside.group(3), at, behind));
    }

    private static boolean isOne(char sign) {
        return sign >= FIRST && sign <= LAST;
    }

    private static Matcher inside(char sign) {
        Matcher inside = INSIDE.matcher(Normalizer.normalize(String.valueOf(sign), Normalizer.Form.NFKC));
        if (!inside.matches()) {
            throw new IllegalStateException("no number or letter in U+" + Integer.toHexString(sign));
        }
        return inside;
    }

    /** A key's text with plain numbers and letters in place of such signs. */
    public static String plain(String text) {
        if (text.chars().noneMatch(sign -> isOne((char) sign))) {
            return text;
        }
        StringBuilder plain = new StringBuilder();
        for (char sign : text.toCharArray()) {
            plain.append(isOne(sign) ? inside(sign).group(2) : String.valueOf(sign));
        }
        return plain.toString();
    }
}
