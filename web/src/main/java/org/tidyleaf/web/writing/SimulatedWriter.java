package org.tidyleaf.web.writing;

import java.security.SecureRandom;
import java.util.HexFormat;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;
import org.tidyleaf.drafting.DraftWriter;

/**
 * A simulation of a writing service: answers a wish with a draft in Markdown, as such services do, made by simple rules of
 * language. Its token is made anew at every start and known to this program alone.
 */
@RestController
class SimulatedWriter {
    private static final int TOKEN_BYTES = 24;
    private static final int LONGEST_PASSAGE = 60_000;
    private static final int MOST_QUESTIONS = 50;

    private final String token = secret();

    private static String secret() {
        byte[] secret = new byte[TOKEN_BYTES];
        new SecureRandom().nextBytes(secret);
        return HexFormat.of().formatHex(secret);
    }

    String token() {
        return token;
    }

    @PostMapping("/simulated-writing/drafts")
    ResponseEntity<String> draft(@RequestHeader(defaultValue = "") String authorization, @RequestBody Wish wish) {
        if (!authorization.equals("Bearer " + token)) {
            return ResponseEntity.status(HttpStatus.UNAUTHORIZED).body("The token is not known here.");
        }
        if (wish.passage().length() > LONGEST_PASSAGE) {
            return refused("The text is too long; send at most " + LONGEST_PASSAGE + " letters.");
        }
        return DraftWriter.write(wish.passage(), Math.min(MOST_QUESTIONS, wish.questions()), wish.options())
                .map(draft -> ResponseEntity.ok()
                        .contentType(MediaType.parseMediaType("text/markdown;charset=UTF-8"))
                        .body(draft))
                .orElseGet(() -> refused("The text says too little for a question. Take one of several sentences."));
    }

    private static ResponseEntity<String> refused(String why) {
        return ResponseEntity.unprocessableEntity()
                .contentType(MediaType.parseMediaType("text/plain;charset=UTF-8"))
                .body(why);
    }
}
