package org.tidyleaf.question;

/**
 * One of the answers to choose from.
 *
 * @param label the printed letter, or empty
 * @param text what it says
 * @param feedback shown to who chose it, may be empty
 */
public record Option(String label, Prose text, Prose feedback) {

    public Option withText(Prose other) {
        return new Option(label, other, feedback);
    }
}
