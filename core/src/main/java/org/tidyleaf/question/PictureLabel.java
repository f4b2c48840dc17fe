package org.tidyleaf.question;

import java.util.List;

/**
 * Names to be written or put to the lettered places of a picture, which stands in the stem.
 *
 * @param labels what is printed at each place, "A" for example
 * @param words the names to choose from as printed; empty where they are to be written
 * @param gaps for each place the accepted names; empty lists where nobody has said
 */
public record PictureLabel(Particulars particulars, List<String> labels, List<String> words, List<List<String>> gaps)
        implements Question {
    public PictureLabel {
        labels = List.copyOf(labels);
        words = List.copyOf(words);
        gaps = gaps.stream().map(List::copyOf).toList();
        if (gaps.size() != labels.size()) {
            throw new IllegalArgumentException(gaps.size() + " gaps for " + labels.size() + " places");
        }
    }

    @Override
    public boolean isKeyed() {
        return !gaps.isEmpty() && gaps.stream().noneMatch(List::isEmpty);
    }

    @Override
    public QuestionType type() {
        return QuestionType.PICTURE_LABEL;
    }

    @Override
    public PictureLabel withParticulars(Particulars other) {
        return new PictureLabel(other, labels, words, gaps);
    }

    @Override
    public <R> R match(Cases<R> cases) {
        return cases.pictureLabel(this);
    }
}
