package org.tidyleaf.question;

import java.util.List;

/**
 * One or more short answers to type.
 *
 * @param gaps for each gap in order the accepted spellings, an empty list where nobody has said; a question whose stem
 *     has no gap of its own has one entry, for the field below it
 */
public record TextEntry(Particulars particulars, List<List<String>> gaps) implements Question {
    public TextEntry {
        gaps = gaps.stream().map(List::copyOf).toList();
        if (gaps.isEmpty()) {
            throw new IllegalArgumentException("a text entry needs a gap");
        }
    }

    @Override
    public boolean isKeyed() {
        return gaps.stream().noneMatch(List::isEmpty);
    }

    @Override
    public QuestionType type() {
        return QuestionType.TEXT_ENTRY;
    }

    @Override
    public TextEntry withParticulars(Particulars other) {
        return new TextEntry(other, gaps);
    }

    @Override
    public <R> R match(Cases<R> cases) {
        return cases.textEntry(this);
    }
}
