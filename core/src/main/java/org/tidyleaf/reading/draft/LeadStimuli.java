package org.tidyleaf.reading.draft;

import java.util.ArrayList;
import java.util.List;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Stimulus;
import org.tidyleaf.reading.line.ProseMaker;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.reading.wording.Words;
import org.tidyleaf.source.Segment;

/** What stands above the parts of a question is a stimulus that they share. */
final class LeadStimuli {

    private LeadStimuli() {}

    /** Adds one for each lead, and says to its parts which it is. */
    static void add(List<Draft> questions, List<Stimulus> stimuli, ProseMaker prose) {
        List<Segment> above = List.of();
        for (Draft draft : questions) {
            Prose said = prose.text(draft.lead);
            if (!said.isEmpty() && !PartSplitter.isOnlyWorth(said.plain())) {
                if (!draft.lead.equals(above)) {
                    stimuli.add(new Stimulus(withTextAbove(draft.stimulus, said, stimuli)));
                }
                draft.stimulus = stimuli.size() - 1;
            }
            above = draft.lead;
        }
    }

    /** "1. Read the text and answer." below that text: its parts are about both. */
    private static Prose withTextAbove(int stimulus, Prose lead, List<Stimulus> stimuli) {
        boolean ofText = stimulus >= 0 && Vocabulary.ALL.mentions(Words.of(lead.plain()), "passage_head");
        if (!ofText) {
            return lead;
        }
        List<Inline> both = new ArrayList<>(stimuli.get(stimulus).text().parts());
        both.add(new Inline.Break());
        both.addAll(lead.parts());
        return new Prose(both);
    }
}
