package org.tidyleaf.question;

import java.util.List;

/**
 * Words of a bank to be put into the gaps of a text.
 *
 * @param words the bank as printed
 * @param key for each gap of the stem its word; empty where nobody has said
 */
public record GapMatch(Particulars particulars, List<String> words, List<String> key) implements Question {
    public GapMatch {
        words = List.copyOf(words);
        key = List.copyOf(key);
    }

    @Override
    public boolean isKeyed() {
        return !key.isEmpty();
    }

    @Override
    public QuestionType type() {
        return QuestionType.GAP_MATCH;
    }

    @Override
    public GapMatch withParticulars(Particulars other) {
        return new GapMatch(other, words, key);
    }

    @Override
    public <R> R match(Cases<R> cases) {
        return cases.gapMatch(this);
    }
}
