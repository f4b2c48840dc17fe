package org.tidyleaf.reading.draft;

import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.model.Step;
import org.tidyleaf.reading.role.Lessons;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/** Adds what lines announce, as keys above all, to the question they belong to. */
final class DraftKeys {

    /** A rule to write on, with a unit behind it perhaps. */
    static final Pattern BLANK = Pattern.compile("[_.\u2026\\s]{3,}[^\\s_.\u2026]{0,12}");

    private static final Pattern ALSO = Vocabulary.pattern(Vocabulary.ALL.either("also") + "\\b");

    /** "(model answer) It is …": what kind of answer it is, is no part of it. */
    private static final Pattern MODEL_SAID =
            Vocabulary.pattern("^[(\\[]\\s*" + Vocabulary.ALL.either("model") + "\\s*[)\\]]\\s*(?=\\S)");

    private final Source source;
    private final Lessons lessons;

    DraftKeys(Source source, Lessons lessons) {
        this.source = source;
        this.lessons = lessons;
    }

    /** "Answer: ______ mm" is no key but a place to write one. */
    void add(Draft draft, Cues cues, Step step) {
        Draft.Announced said = announced(cues, step);
        Optional<PointsFinder.Found> worth =
                PointsFinder.beside(said.text()).or(() -> PointsFinder.bareBeside(said.text()));
        String asked = said.text()
                .substring(
                        0,
                        worth.map(PointsFinder.Found::from).orElse(said.text().length()));
        if (BLANK.matcher(asked).matches()) {
            draft.writing.add(cues.line().number());
            draft.points = draft.points.or(() -> worth.map(PointsFinder.Found::points));
        } else {
            boolean model = cues.announces(Cues.Announces.MODEL) || step.more() && draft.keys.isEmpty();
            List<Draft.Announced> kept = model ? draft.models : draft.keys;
            boolean also =
                    !model && !kept.isEmpty() && ALSO.matcher(cues.text()).lookingAt();
            if (also) {
                Draft.Announced first = kept.remove(kept.size() - 1);
                kept.add(new Draft.Announced(first.text() + " / " + said.text(), first.segment()));
            } else {
                kept.add(said);
            }
        }
    }

    /** A pair's numbers and letters as they stand; those of a column come one by one. */
    void addPairs(Draft draft, Segment segment) {
        String said = source.text(segment);
        if (draft.keys.isEmpty()) {
            draft.keys.add(new Draft.Announced(said, segment));
        } else {
            Draft.Announced before = draft.keys.remove(draft.keys.size() - 1);
            draft.keys.add(new Draft.Announced(before.text() + ", " + said, before.segment()));
        }
    }

    /** What stands behind the word that announces it. */
    Draft.Announced announced(Cues cues, Step step) {
        int from = cues.lead()
                .map(Cues.Lead::end)
                .or(() -> lessons.announcedText(cues, step.role()))
                .orElse(cues.piece().segment().from());
        Segment segment = new Segment(
                cues.line().number(), from, cues.piece().segment().to() - (isInBrackets(cues, from) ? 1 : 0));
        // A key by itself in brackets is what stands between them.
        String said = source.text(segment)
                .strip()
                .replaceFirst("^[(\\[]\\s*([^()\\[\\]]*?)\\s*[)\\]]$|^_{2,}\\s*(\\p{L})\\s*_{2,}$", "$1$2");
        String whole = MODEL_SAID.matcher(said).replaceFirst("");
        // "[They keep / one another warm.]" over two lines.
        boolean closes = cues.announces(Cues.Announces.MODEL) && whole.endsWith("]") && whole.indexOf('[') < 0;
        return new Draft.Announced(closes ? whole.substring(0, whole.length() - 1) : whole, segment);
    }

    /** "[Ans: 40 cm]": the bracket before the word closes behind the answer. */
    private static boolean isInBrackets(Cues cues, int from) {
        String text = cues.line()
                .text()
                .substring(cues.piece().segment().from(), cues.piece().segment().to());
        boolean worded = from > cues.piece().segment().from() && cues.lead().isPresent();
        return worded && (text.startsWith("[") && text.endsWith("]") || text.startsWith("(") && text.endsWith(")"));
    }
}
