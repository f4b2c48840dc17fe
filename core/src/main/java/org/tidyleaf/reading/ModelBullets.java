package org.tidyleaf.reading;

import java.util.List;

/** "Expected points:" and below it bullets: each is a part of the model answer. */
final class ModelBullets {

    private ModelBullets() {}

    static void mark(List<Cues> all) {
        boolean announced = false;
        for (int i = 0; i < all.size(); i++) {
            Cues cues = all.get(i);
            boolean bullet = cues.has(Label.Kind.BULLET)
                    && cues.lead().isEmpty()
                    && cues.sign().isEmpty();
            if (announced && bullet) {
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
