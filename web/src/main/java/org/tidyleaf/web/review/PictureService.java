package org.tidyleaf.web.review;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.tidyleaf.intake.AddedPicture;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.question.Inline;
import org.tidyleaf.source.Figure;
import org.tidyleaf.tidying.Decision;
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

    /** What to cut off each side, in percent. */
    record Margins(int left, int top, int right, int bottom) {}

    Reviewed describe(At at, String question, int place, String alternative) {
        return picture(at, question, place)
                .filter(picture -> !picture.alternative().equals(alternative))
                .map(picture ->
                        reviews.decide(at, new Decision.SetPicture(question, place, picture.figure(), alternative)))
                .orElseGet(() -> reviews.say(at, ""));
    }

    Reviewed crop(At at, String question, int place, Margins cut) {
        Optional<Inline.Picture> picture = picture(at, question, place);
        Optional<Figure> whole = picture.flatMap(found -> leaves.figure(at.owner(), at.leaf(), found.figure()));
        if (whole.isEmpty()) {
            return reviews.say(at, "This picture is no longer there.");
        }
        return kept(
                at,
                question,
                place,
                picture.get().alternative(),
                id -> AddedPicture.crop(id, whole.get(), cut.left(), cut.top(), cut.right(), cut.bottom()));
    }

    /** @param place behind the last picture to add one */
    Reviewed replace(At at, String question, int place, String name, byte[] bytes) {
        String alternative =
                picture(at, question, place).map(Inline.Picture::alternative).orElse("");
        return kept(at, question, place, alternative, id -> AddedPicture.take(id, name, bytes, alternative));
    }

    private Reviewed kept(At at, String question, int place, String alternative, LeafService.NewPicture made) {
        try {
            Figure figure = leaves.add(at.owner(), at.leaf(), made);
            return reviews.decide(at, new Decision.SetPicture(question, place, figure.id(), alternative));
        } catch (IntakeException refused) {
            return reviews.say(at, String.valueOf(refused.getMessage()));
        }
    }

    private Optional<Inline.Picture> picture(At at, String question, int place) {
        List<Inline.Picture> pictures = leaves.open(at.owner(), at.leaf())
                .tidied()
                .question(question)
                .map(found -> found.particulars().stem().pictures())
                .orElse(List.of());
        return place >= 0 && place < pictures.size() ? Optional.of(pictures.get(place)) : Optional.empty();
    }
}
