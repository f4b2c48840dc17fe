package org.tidyleaf.reading.made;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import org.tidyleaf.reading.made.Content.Asked;
import org.tidyleaf.reading.made.Content.Bank;
import org.tidyleaf.reading.made.Content.Cells;
import org.tidyleaf.reading.made.Content.Choice;
import org.tidyleaf.reading.made.Content.Cloze;
import org.tidyleaf.reading.made.Content.Grid;
import org.tidyleaf.reading.made.Content.Number;
import org.tidyleaf.reading.made.Content.Pairs;
import org.tidyleaf.reading.made.Content.Parts;
import org.tidyleaf.reading.made.Content.Passage;
import org.tidyleaf.reading.made.Content.Statement;
import org.tidyleaf.reading.made.Content.Steps;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a made-up test is typed in, from {@code made/CODE.json} of the test resources: its content, and the words of papers of that
 * language, one wording or several, for the English ones, which stand for themselves where there are none.
 */
record Language(
        Map<String, List<String>> words,
        List<Choice> choices,
        List<Choice> several,
        List<Statement> statements,
        List<Asked> gaps,
        List<Asked> asked,
        List<Number> numbers,
        List<Asked> essays,
        List<Pairs> pairs,
        List<Steps> steps,
        List<Bank> banks,
        List<Passage> passages,
        List<Parts> parts,
        List<Asked> alternatives,
        List<Asked> marks,
        List<Asked> manyGaps,
        List<Grid> grids,
        List<Cells> tables,
        List<Cloze> clozes) {

    private static final JsonMapper MAPPER = JsonMapper.builder()
            .enable(DeserializationFeature.ACCEPT_SINGLE_VALUE_AS_ARRAY)
            .build();

    static Language of(String code) {
        try (InputStream in = Language.class.getResourceAsStream("/made/" + code + ".json")) {
            return MAPPER.readValue(in, Language.class);
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    /** The words of the language for words in English; an author keeps to the same of several wordings. */
    String say(String english, int author) {
        List<String> wordings = words.getOrDefault(english, List.of(english));
        return wordings.get(author % wordings.size());
    }
}
