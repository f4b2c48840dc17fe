package org.tidyleaf.question;

import java.util.List;

/** A whole test: what is published, answered, printed and exported. Questions stand in order. */
public record Quiz(String title, List<Section> sections, List<Stimulus> stimuli, List<Question> questions) {
    public Quiz {
        sections = List.copyOf(sections);
        stimuli = List.copyOf(stimuli);
        questions = List.copyOf(questions);
    }

    public Quiz withTitle(String other) {
        return new Quiz(other, sections, stimuli, questions);
    }

    public Quiz withQuestions(List<Question> other) {
        return new Quiz(title, sections, stimuli, other);
    }
}
