package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.regex.Pattern;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "Expected points:" and below it bullets: each is a part of the model answer. So they are below "Possible answers:" where the
 * question says "Name two …" and asks nothing.
 */
final class ModelBullets {

    private ModelBullets() {}

    private static final Pattern TOLD = Vocabulary.pattern("\\s*" + Vocabulary.ALL.either("tell") + "\\b.*");

    private static boolean wantsSeveral(Cues above) {
        int from = above.number().map(Label::end).orElse(above.piece().segment().from());
        return !above.is(Trait.QUESTION_MARK)
                && TOLD.matcher(above.line().text().substring(from)).matches();
    }

    private static boolean isAboveBullets(List<Cues> all, int piece) {
        return piece + 1 < all.size()
                && all.get(piece + 1).has(Label.Kind.BULLET)
                && all.get(piece + 1).sign().isEmpty();
    }

    static void mark(List<Cues> all) {
        boolean announced = false;
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            boolean bullet = cues.has(Label.Kind.BULLET)
                    && cues.lead().isEmpty()
                    && cues.sign().isEmpty();
            if (cues.is(Trait.OPTIONS_ONLY) && i > 0 && wantsSeveral(all.get(i - 1)) && isAboveBullets(all, i)) {
                cues.traits().remove(Trait.OPTIONS_ONLY);
                Cues.Lead lead = new Cues.Lead(
                        Cues.Announces.MODEL, cues.piece().segment().to());
                all.set(i, cues.withLead(lead));
                announced = true;
            } else if (announced && bullet) {
                int from = cues.labels().get(0).end();
                all.set(i, cues.withLabels(List.of()).withLead(new Cues.Lead(Cues.Announces.MODEL, from)));
            } else {
                announced = cues.announces(Cues.Announces.MODEL)
                        && cues.lead().orElseThrow().end()
                                >= cues.piece().segment().to();
            }
        }
    }
}
