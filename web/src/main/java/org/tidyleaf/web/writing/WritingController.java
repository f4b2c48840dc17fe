package org.tidyleaf.web.writing;

import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.tidyleaf.web.account.Teacher;
import org.tidyleaf.web.desk.DeskService;

/** The page where a draft is asked for. What comes back goes through the reader like any other text. */
@Controller
@RequestMapping("/draft")
class WritingController {
    private static final int NAMED_WORDS = 4;

    private final WritingService writing;
    private final DeskService desk;

    WritingController(WritingService writing, DeskService desk) {
        this.writing = writing;
        this.desk = desk;
    }

    @GetMapping
    String ask(Model model) {
        return page(new Wish("", 6, 4), "", model);
    }

    private static String page(Wish wish, String problem, Model model) {
        model.addAttribute("wish", wish);
        model.addAttribute("problem", problem);
        return "writing/draft";
    }

    @PostMapping
    String draft(
            @AuthenticationPrincipal Teacher teacher,
            @RequestParam String passage,
            @RequestParam int questions,
            @RequestParam int options,
            Model model) {
        Wish wish = new Wish(passage, questions, options);
        WritingService.Answer answer = writing.draft(wish);
        if (!answer.problem().isEmpty()) {
            return page(wish, answer.problem(), model);
        }
        UUID leaf = desk.drop(teacher.id(), name(passage), answer.draft().getBytes(StandardCharsets.UTF_8));
        return "redirect:/?drafted=" + leaf;
    }

    private static String name(String passage) {
        String[] words = passage.strip().replaceAll("[^\\p{L}\\d ]", " ").split("\\s+");
        StringBuilder name = new StringBuilder("Drafted, check");
        for (int i = 0; i < Math.min(NAMED_WORDS, words.length); i++) {
            name.append(i == 0 ? " - " : " ").append(words[i]);
        }
        return name + ".md";
    }
}
