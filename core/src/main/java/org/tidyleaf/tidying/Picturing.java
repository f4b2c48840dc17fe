package org.tidyleaf.tidying;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;

/** Changes the pictures in the text of questions. */
final class Picturing {

    private Picturing() {}

    static Question with(Question question, Decision.SetPicture set) {
        Optional<Inline.Picture> picture = set.figure().isEmpty()
                ? Optional.empty()
                : Optional.of(new Inline.Picture(set.figure(), set.alternative()));
        return withStem(question, replaced(question.particulars().stem(), set.place(), picture));
    }

    static Quiz moved(Quiz quiz, Decision.MovePicture move) {
        Optional<Question> from = find(quiz, move.question());
        Optional<Question> to = find(quiz, move.to());
        List<Inline.Picture> pictures =
                from.map(question -> question.particulars().stem().pictures()).orElse(List.of());
        boolean there = move.place() >= 0 && move.place() < pictures.size();
        if (!there || to.isEmpty() || move.to().equals(move.question())) {
            return quiz;
        }
        return quiz.withQuestions(quiz.questions().stream()
                .map(question -> {
                    Prose stem = question.particulars().stem();
                    if (question.id().equals(move.question())) {
                        return withStem(question, replaced(stem, move.place(), Optional.empty()));
                    }
                    return question.id().equals(move.to())
                            ? withStem(question, stem.plus(List.of(pictures.get(move.place()))))
                            : question;
                })
                .toList());
    }

    private static Optional<Question> find(Quiz quiz, String id) {
        return quiz.questions().stream()
                .filter(question -> question.id().equals(id))
                .findFirst();
    }

    private static Prose replaced(Prose stem, int place, Optional<Inline.Picture> picture) {
        List<Inline> parts = new ArrayList<>();
        int at = 0;
        for (Inline part : stem.parts()) {
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

    private static Question withStem(Question question, Prose stem) {
        return question.withParticulars(question.particulars().withStem(stem));
    }
}
