package org.tidyleaf.question;

/**
 * An answer of a sentence or more, marked by a person.
 *
 * @param answer the model answer or marking note, for the marker's eyes only; may be empty
 */
public record ExtendedText(Particulars particulars, Prose answer) implements Question {

    @Override
    public boolean isKeyed() {
        return true;
    }

    @Override
    public QuestionType type() {
        return QuestionType.EXTENDED_TEXT;
    }

    @Override
    public ExtendedText withParticulars(Particulars other) {
        return new ExtendedText(other, answer);
    }

    @Override
    public <R> R match(Cases<R> cases) {
        return cases.extendedText(this);
    }
}
