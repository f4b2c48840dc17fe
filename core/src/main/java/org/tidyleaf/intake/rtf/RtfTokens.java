package org.tidyleaf.intake.rtf;

import java.util.Optional;

/** Cuts a rich text into its groups, words and characters (RTF 1.9.1, Formal Syntax). One per document, not shared. */
final class RtfTokens {
    /** Numbers have 32 bits. */
    private static final int MOST_DIGITS = 10;

    /** What comes next in the file. */
    sealed interface Token {}

    /** The beginning of a group. */
    record Open() implements Token {}

    /** The end of a group. */
    record Close() implements Token {}

    /** A control word with its number, as {@code \li720}. */
    record Word(String name, Optional<Integer> number) implements Token {}

    /** A control symbol, as {@code \~}. */
    record Symbol(char sign) implements Token {}

    /** One byte of text in the code page of the file. */
    record Byte(char value) implements Token {}

    private final String text;
    private int at;

    RtfTokens(String text) {
        this.text = text;
    }

    /** The next token, or nothing at the end. */
    Optional<Token> next() {
        while (at < text.length()) {
            char c = text.charAt(at++);
            switch (c) {
                case '{':
                    return Optional.of(new Open());
                case '}':
                    return Optional.of(new Close());
                case '\\':
                    Optional<Token> control = control();
                    if (control.isPresent()) {
                        return control;
                    }
                    break;
                case '\r', '\n':
                    break;
                default:
                    return Optional.of(new Byte(c));
            }
        }
        return Optional.empty();
    }

    private Optional<Token> control() {
        if (at >= text.length()) {
            return Optional.empty();
        }
        char c = text.charAt(at);
        if (isLetter(c)) {
            return word();
        }
        at++;
        return switch (c) {
            case '\'' -> hexadecimal();
            case '\\', '{', '}' -> Optional.of(new Byte(c));
            default -> Optional.of(new Symbol(c));
        };
    }

    private Optional<Token> hexadecimal() {
        String digits = text.substring(at, Math.min(text.length(), at + 2));
        at += digits.length();
        return digits.matches("[0-9a-fA-F]{2}")
                ? Optional.of(new Byte((char) Integer.parseInt(digits, 16)))
                : Optional.empty();
    }

    private Optional<Token> word() {
        int from = at;
        while (at < text.length() && isLetter(text.charAt(at))) {
            at++;
        }
        String name = text.substring(from, at);
        int numberFrom = at;
        if (at < text.length() && text.charAt(at) == '-') {
            at++;
        }
        int digitsFrom = at;
        while (at < text.length() && Character.isDigit(text.charAt(at)) && at - digitsFrom < MOST_DIGITS) {
            at++;
        }
        String digits = text.substring(numberFrom, at);
        Optional<Integer> number =
                digits.matches("-?\\d+") ? Optional.of((int) Long.parseLong(digits)) : Optional.empty();
        if (at < text.length() && text.charAt(at) == ' ') {
            at++;
        }
        if (name.equals("bin")) {
            at = Math.min(text.length(), at + Math.max(0, number.orElse(0)));
            return Optional.empty();
        }
        return Optional.of(new Word(name, number));
    }

    private static boolean isLetter(char c) {
        return c >= 'a' && c <= 'z' || c >= 'A' && c <= 'Z';
    }
}
