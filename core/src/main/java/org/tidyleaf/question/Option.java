package org.tidyleaf.question;

/**
 * One of the answers to choose from.
 *
 * @param label the printed letter, or empty
 * @param text what it says
 * @param feedback shown to who chose it, may be empty
 */
public record Option(String label, Prose text, Prose feedback) {

    /** The letter to show before it: the printed one, or else the one of its 0-based place. */
    public String letter(int place) {
        return label.isEmpty() ? String.valueOf((char) ('A' + place % 26)) : label;
    }

    public Option withText(Prose other) {
        return new Option(label, other, feedback);
    }
}
