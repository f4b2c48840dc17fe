package org.tidyleaf.drafting;

import java.text.BreakIterator;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Drafts questions about a passage by simple rules: a telling word becomes a gap with options from the same passage, a
 * number is changed for a statement to judge. It stands in for a writing service and answers in the loose form that such
 * services write; the same wish gives the same draft. Safe for many threads.
 */
public final class DraftWriter {

    private static final int SHORTEST = 5;
    private static final int LONGEST = 45;

    /** Every third question is a statement to judge, where its sentence has a number. */
    private static final int JUDGED = 3;

    private final Telling telling;
    private final List<String> sentences;
    private final int options;
    private final StringBuilder out = new StringBuilder();
    private final List<String> answers = new ArrayList<>();

    private DraftWriter(String passage, int options) {
        this.sentences = sentences(passage);
        this.telling = new Telling(sentences);
        this.options = options;
    }

    /**
     * Writes a draft.
     *
     * @param questions how many are wished for; fewer where the passage has too few sentences
     * @param options how many for each, right one included; 2 to 8
     * @return the draft, or empty where the passage says too little
     */
    public static Optional<String> write(String passage, int questions, int options) {
        return new DraftWriter(passage, Math.max(2, Math.min(8, options))).written(passage, questions);
    }

    private static List<String> sentences(String passage) {
        List<String> sentences = new ArrayList<>();
        BreakIterator breaks = BreakIterator.getSentenceInstance(Locale.ENGLISH);
        String text = passage.replaceAll("\\s+", " ").strip();
        breaks.setText(text);
        int from = breaks.first();
        for (int to = breaks.next(); to != BreakIterator.DONE; to = breaks.next()) {
            String sentence = text.substring(from, to).strip();
            int words = sentence.split(" ").length;
            if (words >= SHORTEST && words <= LONGEST && !sentence.endsWith("?")) {
                sentences.add(sentence);
            }
            from = to;
        }
        return sentences;
    }

    private Optional<String> written(String passage, int wanted) {
        List<String> usable = sentences.stream()
                .filter(sentence -> telling.best(sentence).isPresent())
                .toList();
        int count = Math.min(Math.max(1, wanted), usable.size());
        if (count == 0) {
            return Optional.empty();
        }
        out.append("Read the text for questions 1-").append(count).append(".\n\n");
        for (String paragraph : passage.strip().split("\\R\\s*\\R")) {
            out.append(paragraph.replaceAll("\\s+", " ").strip()).append("\n\n");
        }
        for (int i = 0; i < count; i++) {
            // Spread over the whole passage, in its order.
            question(i + 1, usable.get(i * usable.size() / count));
        }
        out.append("**Answers**\n\n");
        for (int i = 0; i < answers.size(); i++) {
            out.append(i + 1).append(". ").append(answers.get(i)).append('\n');
        }
        return Optional.of(out.toString());
    }

    private void question(int number, String sentence) {
        Optional<Telling.Found> figure = telling.in(sentence).stream()
                .filter(found -> found.kind() == Telling.Kind.NUMBER)
                .filter(found -> found.word().matches("\\d{1,6}"))
                .findFirst();
        if (number % JUDGED == 0 && figure.isPresent()) {
            judged(number, sentence, figure.get());
        } else {
            telling.best(sentence).ifPresent(word -> gapped(number, sentence, word));
        }
    }

    private void judged(int number, String sentence, Telling.Found figure) {
        boolean right = (sentence.length() + number) % 2 == 0;
        int value = Integer.parseInt(figure.word());
        String other = String.valueOf(value < 4 ? value + 2 : value + Math.max(1, value / 3));
        out.append("**").append(number).append(". True or false?** ");
        out.append(right ? sentence : replaced(sentence, figure, other)).append("\n\n");
        answers.add(right ? "True" : "False");
    }

    private void gapped(int number, String sentence, Telling.Found word) {
        List<String> offered = new ArrayList<>(
                telling.others(word, sentence).stream().limit(options - 1L).toList());
        int place = (sentence.length() + 5 * number) % (offered.size() + 1);
        offered.add(place, word.word());
        out.append("**").append(number).append(". Which word fills the gap?** ");
        out.append(replaced(sentence, word, "______")).append("\n\n");
        for (int i = 0; i < offered.size(); i++) {
            out.append((char) ('a' + i)).append(") ").append(offered.get(i)).append("  \n");
        }
        out.append('\n');
        answers.add(String.valueOf((char) ('a' + place)));
    }

    private static String replaced(String sentence, Telling.Found word, String other) {
        return sentence.substring(0, word.from())
                + other
                + sentence.substring(word.from() + word.word().length());
    }
}
