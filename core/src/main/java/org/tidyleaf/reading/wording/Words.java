package org.tidyleaf.reading.wording;

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
public final class Words {
    private final Set<String> all;
    private BitSet kinds;

    private Words(Set<String> all) {
        this.all = all;
    }

    public static Words of(String text) {
        return new Words(split(text));
    }

    /** Letters and digits side by side, in lower case. */
    public static Set<String> split(String text) {
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

    public int size() {
        return all.size();
    }

    public boolean has(String word) {
        return all.contains(word);
    }

    public boolean hasAll(Collection<String> words) {
        return all.containsAll(words);
    }

    public boolean hasAnyOf(Collection<String> words) {
        for (String word : words) {
            if (all.contains(word)) {
                return true;
            }
        }
        return false;
    }

    public Stream<String> stream() {
        return all.stream();
    }
}
