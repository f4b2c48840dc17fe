package org.tidyleaf.question;

import java.util.List;
import java.util.Optional;

/**
 * How a question is filed and given, apart from what it asks.
 *
 * @param topic what it is about, or empty
 * @param labels words for its author ("difficulty: easy"); candidates never see them
 * @param required whether a script can't be handed in without it while there is time
 * @param partial what its parts earn, where it differs from the rest of the test
 * @param words how long a written answer should be
 */
public record Settings(
        String topic,
        List<String> labels,
        boolean required,
        OptionOrder order,
        Optional<PartialMarks> partial,
        WordLimits words) {

    public static final Settings NONE =
            new Settings("", List.of(), false, OptionOrder.USUAL, Optional.empty(), WordLimits.NONE);

    public Settings {
        topic = topic == null ? "" : topic;
        labels = labels == null ? List.of() : List.copyOf(labels);
        order = order == null ? OptionOrder.USUAL : order;
        partial = partial == null ? Optional.empty() : partial;
        words = words == null ? WordLimits.NONE : words;
    }

    public Settings withTopic(String other) {
        return new Settings(other, labels, required, order, partial, words);
    }

    public Settings withLabels(List<String> other) {
        return new Settings(topic, other, required, order, partial, words);
    }

    public Settings withRequired(boolean other) {
        return new Settings(topic, labels, other, order, partial, words);
    }

    public Settings withOrder(OptionOrder other) {
        return new Settings(topic, labels, required, other, partial, words);
    }

    public Settings withPartial(Optional<PartialMarks> other) {
        return new Settings(topic, labels, required, order, other, words);
    }

    public Settings withWords(WordLimits other) {
        return new Settings(topic, labels, required, order, partial, other);
    }
}
