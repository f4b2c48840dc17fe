package org.tidyleaf.reading.make;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.Question;
import org.tidyleaf.reading.line.Directions;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.model.GatheredKey;
import org.tidyleaf.reading.wording.Vocabulary;

/** Why something is a question and what its key is, in words for the teacher, and how sure that is. */
final class QuestionEvidence {

    /** Where nothing says how a question is to be answered, its type is a guess. */
    private static final double GUESSED_TYPE = 0.4;

    /** "Answer in one or two sentences." over several. */
    private static final Pattern IN_SENTENCES =
            Vocabulary.pattern("\\b" + Vocabulary.ALL.either("in_sentences") + "(?!\\p{L})");

    private QuestionEvidence() {}

    /** So many points a short answer may be worth. */
    private static final BigDecimal FEW = BigDecimal.valueOf(3);

    static List<String> of(List<Draft> drafts, int index, GatheredKey key) {
        Draft draft = drafts.get(index);
        List<String> evidence = new ArrayList<>();
        if (draft.inSequence && index > 0 && !drafts.get(index - 1).number.isEmpty()) {
            evidence.add(draft.number + " follows " + drafts.get(index - 1).number);
        } else if (draft.inSequence && !draft.number.isEmpty()) {
            evidence.add("it begins the numbering with " + draft.number);
        } else {
            evidence.add("it stands where a question begins");
        }
        if (draft.options.size() > 1 && !draft.options.get(0).label.isEmpty()) {
            evidence.add(draft.options.size() + " letters in a row, " + draft.options.get(0).label + " to "
                    + draft.options.get(draft.options.size() - 1).label);
        } else if (draft.options.size() > 1) {
            evidence.add(draft.options.size() + " lines below it, each an answer");
        }
        evidence.addAll(key.evidence());
        return evidence;
    }

    /** Whether what is said above questions tells that they are answered in sentences. */
    static boolean wantsSentences(String said) {
        return IN_SENTENCES.matcher(said).find();
    }

    /** Nobody gives so many points for a word. */
    private static boolean isWorthAText(ExtendedText open) {
        return open.particulars()
                .points()
                .filter(points -> points.compareTo(FEW) > 0)
                .isPresent();
    }

    /**
     * What the reader doubts of a question.
     *
     * @param said what its section says of its questions
     * @param leftOpen whether most others have their keys, so that this one has none because it is written freely
     */
    static double doubt(Draft draft, Question question, GatheredKey key, String said, boolean leftOpen) {
        boolean guessed = question instanceof ExtendedText open
                && open.answer().isEmpty()
                && draft.writingLines() == 0
                && !draft.roomBeside
                && !Directions.asksToExplain(open.particulars().stem().plain())
                && !isWorthAText(open)
                && !wantsSentences(said)
                && !leftOpen;
        double doubt = key.conflict().isPresent() ? Math.max(draft.doubt, 0.5) : draft.doubt;
        return Math.round(Math.max(doubt, guessed ? GUESSED_TYPE : 0) * 1000) / 1000.0;
    }
}
