package org.tidyleaf.tidying;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;

/** Changes the pictures in the texts of questions. */
final class Picturing {

    private Picturing() {}

    static Question with(Question question, Decision.SetPicture set) {
        Optional<Inline.Picture> picture = set.figure().isEmpty()
                ? Optional.empty()
                : Optional.of(new Inline.Picture(set.figure(), set.alternative()));
        return PictureTexts.with(question, set.part(), text -> replaced(text, set.place(), picture));
    }

    static Quiz moved(Quiz quiz, Decision.MovePicture move) {
        Optional<Inline.Picture> picture =
                find(quiz, move.question()).flatMap(question -> picture(question, move.part(), move.place()));
        boolean goes = find(quiz, move.to())
                .filter(to -> move.toPart() >= 0
                        && move.toPart() < PictureTexts.of(to).size())
                .isPresent();
        boolean stays = move.to().equals(move.question()) && move.part() == move.toPart();
        if (picture.isEmpty() || !goes || stays) {
            return quiz;
        }
        return quiz.withQuestions(quiz.questions().stream()
                .map(question -> question.id().equals(move.question())
                        ? PictureTexts.with(
                                question, move.part(), text -> replaced(text, move.place(), Optional.empty()))
                        : question)
                .map(question -> question.id().equals(move.to())
                        ? PictureTexts.with(question, move.toPart(), text -> text.plus(List.of(picture.get())))
                        : question)
                .toList());
    }

    private static Optional<Inline.Picture> picture(Question question, int part, int place) {
        List<PictureTexts.Text> texts = PictureTexts.of(question);
        return part < 0 || part >= texts.size()
                ? Optional.empty()
                : texts.get(part).prose().pictures().stream()
                        .skip(Math.max(0, place))
                        .findFirst();
    }

    private static Optional<Question> find(Quiz quiz, String id) {
        return quiz.questions().stream()
                .filter(question -> question.id().equals(id))
                .findFirst();
    }

    private static Prose replaced(Prose text, int place, Optional<Inline.Picture> picture) {
        List<Inline> parts = new ArrayList<>();
        int at = 0;
        for (Inline part : text.parts()) {
            boolean wanted = part instanceof Inline.Picture && at++ == place;
            if (!wanted) {
                parts.add(part);
            } else {
                picture.ifPresent(parts::add);
            }
        }
        Prose changed = new Prose(parts);
        return place == at ? picture.map(List::of).map(changed::plus).orElse(changed) : changed;
    }
}
