package org.tidyleaf.reading;

import java.util.BitSet;
import java.util.Collection;
import java.util.HashSet;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The words of a text in lower case, each once, and which kinds of key words begin with one of them: asked again and
 * again before large patterns are tried, so it is looked up only once.
 */
final class Words {
    private final Set<String> all;
    private BitSet kinds;

    private Words(Set<String> all) {
        this.all = all;
    }

    static Words of(String text) {
        return new Words(split(text));
    }

    /** Letters and digits side by side, in lower case. */
    static Set<String> split(String text) {
        Set<String> found = new HashSet<>();
        int from = -1;
        for (int i = 0; i <= text.length(); i++) {
            boolean letter = i < text.length() && Character.isLetterOrDigit(text.charAt(i));
            if (letter && from < 0) {
                from = i;
            } else if (!letter && from >= 0) {
                found.add(text.substring(from, i).toLowerCase(Locale.ROOT));
                from = -1;
            }
        }
        return found;
    }

    /** The numbers that {@link Vocabulary} gives the kinds. */
    BitSet kinds() {
        if (kinds == null) {
            kinds = Vocabulary.ALL.kindsOf(all);
        }
        return kinds;
    }

    int size() {
        return all.size();
    }

    boolean has(String word) {
        return all.contains(word);
    }

    boolean hasAll(Collection<String> words) {
        return all.containsAll(words);
    }

    boolean hasAnyOf(Collection<String> words) {
        for (String word : words) {
            if (all.contains(word)) {
                return true;
            }
        }
        return false;
    }

    Stream<String> stream() {
        return all.stream();
    }
}
