package org.tidyleaf.web.review;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.tidyleaf.intake.AddedPicture;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.question.Inline;
import org.tidyleaf.source.Figure;
import org.tidyleaf.tidying.Decision;
import org.tidyleaf.tidying.PictureTexts;
import org.tidyleaf.web.leaf.LeafService;

/** Pictures changed by hand. Each change keeps a new picture; the old one stays for editions that show it. */
@Service
class PictureService {
    private final LeafService leaves;
    private final ReviewService reviews;

    PictureService(LeafService leaves, ReviewService reviews) {
        this.leaves = leaves;
        this.reviews = reviews;
    }

    /**
     * Where a picture is in a question.
     *
     * @param part which of its {@link PictureTexts}
     * @param place 0-based, in that text
     */
    record Spot(int part, int place) {}

    /** What to cut off each side, in percent. */
    record Margins(int left, int top, int right, int bottom) {}

    Reviewed describe(At at, String question, Spot spot, String alternative) {
        return picture(at, question, spot)
                .filter(picture -> !picture.alternative().equals(alternative))
                .map(picture -> reviews.decide(
                        at,
                        new Decision.SetPicture(question, spot.part(), spot.place(), picture.figure(), alternative)))
                .orElseGet(() -> reviews.say(at, ""));
    }

    Reviewed crop(At at, String question, Spot spot, Margins cut) {
        Optional<Inline.Picture> picture = picture(at, question, spot);
        Optional<Figure> whole = picture.flatMap(found -> leaves.figure(at.owner(), at.leaf(), found.figure()));
        if (whole.isEmpty()) {
            return reviews.say(at, "This picture is no longer there.");
        }
        return kept(
                at,
                question,
                spot,
                picture.get().alternative(),
                id -> AddedPicture.crop(id, whole.get(), cut.left(), cut.top(), cut.right(), cut.bottom()));
    }

    Reviewed replace(At at, String question, Spot spot, String name, byte[] bytes) {
        String alternative =
                picture(at, question, spot).map(Inline.Picture::alternative).orElse("");
        return kept(at, question, spot, alternative, id -> AddedPicture.take(id, name, bytes, alternative));
    }

    /** Adds one at the end of one of the question's texts. */
    Reviewed add(At at, String question, int part, String name, byte[] bytes) {
        int behind = texts(at, question).stream()
                .skip(Math.max(0, part))
                .findFirst()
                .map(text -> text.prose().pictures().size())
                .orElse(0);
        return kept(at, question, new Spot(part, behind), "", id -> AddedPicture.take(id, name, bytes, ""));
    }

    private List<PictureTexts.Text> texts(At at, String question) {
        return leaves.open(at.owner(), at.leaf())
                .tidied()
                .question(question)
                .map(PictureTexts::of)
                .orElse(List.of());
    }

    private Reviewed kept(At at, String question, Spot spot, String alternative, LeafService.NewPicture made) {
        try {
            Figure figure = leaves.add(at.owner(), at.leaf(), made);
            return reviews.decide(
                    at, new Decision.SetPicture(question, spot.part(), spot.place(), figure.id(), alternative));
        } catch (IntakeException refused) {
            return reviews.say(at, String.valueOf(refused.getMessage()));
        }
    }

    private Optional<Inline.Picture> picture(At at, String question, Spot spot) {
        return texts(at, question).stream()
                .skip(Math.max(0, spot.part()))
                .findFirst()
                .flatMap(text -> text.prose().pictures().stream()
                        .skip(Math.max(0, spot.place()))
                        .findFirst());
    }
}
