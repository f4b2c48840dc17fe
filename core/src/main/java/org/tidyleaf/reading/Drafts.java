package org.tidyleaf.reading;

import java.util.List;
import org.tidyleaf.question.Section;
import org.tidyleaf.question.Stimulus;

/**
 * All that the roles make of a document, keys not yet looked at.
 *
 * @param owners for each piece the 1-based place of its question, or 0
 */
record Drafts(String title, List<Section> sections, List<Stimulus> stimuli, List<Draft> questions, int[] owners) {}
