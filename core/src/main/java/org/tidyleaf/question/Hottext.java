package org.tidyleaf.question;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Words to be marked in a text. The stem holds the instruction and, behind it, the text; each word of the text may be
 * chosen.
 *
 * @param spans the words to mark, as they stand in the text, in its order; one span may have several words; empty where
 *     nobody has said. A span that comes twice means its first and its second place.
 */
public record Hottext(Particulars particulars, List<String> spans) implements Question {

    private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{N}](?:[\\p{L}\\p{N}'\u2019-]*[\\p{L}\\p{N}])?");

    /** Without a break between them, the text begins behind the instruction's colon or first sentence. */
    private static final Pattern INSTRUCTION_END = Pattern.compile("[:.!?]\\s+(?=\\S)");

    public Hottext {
        spans = List.copyOf(spans);
    }

    /** A word that can be chosen: its place in {@link #text}, in UTF-16 code units. */
    public record Word(int from, int to) {}

    /** What is asked, without the text to mark words in. */
    public Prose instruction() {
        return particulars.stem().cut(0, textAt());
    }

    /** The text to mark words in. */
    public Prose text() {
        return particulars.stem().cut(textAt(), Integer.MAX_VALUE);
    }

    private int textAt() {
        String typed = particulars.stem().typed();
        int lineEnd = typed.indexOf('\n');
        if (lineEnd >= 0) {
            return lineEnd + 1;
        }
        Matcher end = INSTRUCTION_END.matcher(typed);
        return end.find() ? end.end() : 0;
    }

    /** The words of the text, in order: what a candidate chooses among, by 0-based place. */
    public List<Word> words() {
        List<Word> words = new ArrayList<>();
        Matcher matcher = WORD.matcher(text().typed());
        while (matcher.find()) {
            words.add(new Word(matcher.start(), matcher.end()));
        }
        return words;
    }

    /** For each span the 0-based places of its words; no places for one that is not in the text. */
    public List<Set<Integer>> spanWords() {
        List<Set<Integer>> result = new ArrayList<>();
        Set<Integer> taken = new LinkedHashSet<>();
        for (String span : spans) {
            Set<Integer> found = find(span, taken).orElse(Set.of());
            taken.addAll(found);
            result.add(found);
        }
        return result;
    }

    private Optional<Set<Integer>> find(String span, Set<Integer> taken) {
        String text = text().typed();
        List<Word> words = words();
        Matcher matcher = Pattern.compile(
                        "(?<![\\p{L}\\p{N}])" + Pattern.quote(span.strip()) + "(?![\\p{L}\\p{N}])",
                        Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE)
                .matcher(text);
        while (matcher.find()) {
            Set<Integer> places = new LinkedHashSet<>();
            for (int i = 0; i < words.size(); i++) {
                if (words.get(i).from() >= matcher.start() && words.get(i).to() <= matcher.end()) {
                    places.add(i);
                }
            }
            if (!places.isEmpty() && places.stream().noneMatch(taken::contains)) {
                return Optional.of(places);
            }
        }
        return Optional.empty();
    }

    @Override
    public boolean isKeyed() {
        return !spans.isEmpty() && spanWords().stream().noneMatch(Set::isEmpty);
    }

    @Override
    public QuestionType type() {
        return QuestionType.HOTTEXT;
    }

    @Override
    public Hottext withParticulars(Particulars other) {
        return new Hottext(other, spans);
    }

    @Override
    public <R> R match(Cases<R> cases) {
        return cases.hottext(this);
    }
}
