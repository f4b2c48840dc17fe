package org.tidyleaf.question;

/** Cases of which a few differ and all others are alike: override those that differ. */
public interface SomeCases<R> extends Question.Cases<R> {

    /** What is done for every type whose method is not overridden. */
    R otherwise(Question question);

    @Override
    default R choice(ChoiceQuestion question) {
        return otherwise(question);
    }

    @Override
    default R textEntry(TextEntry question) {
        return otherwise(question);
    }

    @Override
    default R numericEntry(NumericEntry question) {
        return otherwise(question);
    }

    @Override
    default R extendedText(ExtendedText question) {
        return otherwise(question);
    }

    @Override
    default R match(Match question) {
        return otherwise(question);
    }

    @Override
    default R order(Order question) {
        return otherwise(question);
    }

    @Override
    default R grid(Grid question) {
        return otherwise(question);
    }

    @Override
    default R gapMatch(GapMatch question) {
        return otherwise(question);
    }

    @Override
    default R tableEntry(TableEntry question) {
        return otherwise(question);
    }

    @Override
    default R hottext(Hottext question) {
        return otherwise(question);
    }

    @Override
    default R pictureLabel(PictureLabel question) {
        return otherwise(question);
    }
}
