package org.tidyleaf.reading.model;

import java.util.List;
import org.tidyleaf.question.Section;
import org.tidyleaf.question.Stimulus;

/**
 * All that the roles make of a document, keys not yet looked at.
 *
 * @param owners for each piece the 1-based place of its question, or 0
 * @param roles as they are after questions were split into their parts
 */
public record Drafts(
        String title,
        List<Section> sections,
        List<Stimulus> stimuli,
        List<Draft> questions,
        int[] owners,
        List<Assigned> roles) {}
