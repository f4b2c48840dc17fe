package org.tidyleaf.reading.draft;

import java.util.List;
import java.util.Optional;
import org.tidyleaf.question.Prose;
import org.tidyleaf.reading.Role;
import org.tidyleaf.reading.cut.BareLetters;
import org.tidyleaf.reading.line.ProseMaker;
import org.tidyleaf.reading.model.Assigned;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.source.Segment;

/** Which picture is which option, where letters stand before, over or below them. */
final class OptionPictures {

    private final List<Assigned> roles;
    private final ProseMaker prose;

    OptionPictures(List<Assigned> roles, ProseMaker prose) {
        this.roles = roles;
        this.prose = prose;
    }

    /** "A." and nothing else, the picture on the next line: it is the option; below "A  B  C" each gets the next picture. */
    Optional<Draft.OptionDraft> empty(Optional<Draft> open, int index) {
        int above = index - 1;
        while (above >= 0 && roles.get(above).step().role() == Role.FIGURE) {
            above--;
        }
        boolean below = above >= 0 && roles.get(above).step().role() == Role.OPTION && open.isPresent();
        List<Draft.OptionDraft> options = below ? open.get().options : List.of();
        boolean inRow = options.size() > 1 && options.stream().allMatch(this::isPictureOrEmpty);
        return options.stream()
                .skip(inRow ? 0 : Math.max(0, options.size() - 1))
                .filter(option -> prose.text(option.segments).isEmpty())
                .findFirst();
    }

    /** A letter in a row of letters below as many pictures: it is the letter of the one above it. */
    void takeAbove(Draft draft, int index) {
        if (!isBelowPicture(index)) {
            return;
        }
        int first = index;
        while (isBelowPicture(first - 1)) {
            first--;
        }
        int end = index + 1;
        while (isBelowPicture(end)) {
            end++;
        }
        Segment picture =
                roles.get(Math.max(0, index - (end - first))).cues().piece().segment();
        List<Segment> option = draft.options.get(draft.options.size() - 1).segments;
        option.clear();
        option.add(picture);
        draft.pictures.removeAll(prose.text(option).pictures());
    }

    private boolean isBelowPicture(int index) {
        return index >= 0
                && index < roles.size()
                && roles.get(index).cues().labels().stream()
                        .anyMatch(label -> label.shape().equals(BareLetters.BELOW));
    }

    private boolean isPictureOrEmpty(Draft.OptionDraft option) {
        Prose text = prose.text(option.segments);
        return text.isEmpty() || text.plain().isBlank() && !text.pictures().isEmpty();
    }
}
