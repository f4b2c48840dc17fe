package org.tidyleaf.web.account;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;

@Controller
class SignInController {
    private final AccountService accounts;

    SignInController(AccountService accounts) {
        this.accounts = accounts;
    }

    /** What the first visitor fills in. */
    record FirstAccount(
            @NotBlank(message = "Write the name that colleagues know you by.")
            String name,

            @NotBlank(message = "Write your mail address.") @Email(message = "This is no mail address.")
            String mail,

            @Size(min = 10, max = 200, message = "Take at least ten characters.")
            String password) {}

    @GetMapping("/sign-in")
    String signIn() {
        return accounts.isEmpty() ? "redirect:/first-account" : "account/sign-in";
    }

    @GetMapping("/first-account")
    String firstAccount(Model model) {
        model.addAttribute("firstAccount", new FirstAccount("", "", ""));
        return accounts.isEmpty() ? "account/first-account" : "redirect:/sign-in";
    }

    @PostMapping("/first-account")
    String makeFirst(@Valid @ModelAttribute FirstAccount firstAccount, BindingResult faults) {
        if (faults.hasErrors()) {
            return "account/first-account";
        }
        accounts.makeFirst(firstAccount.name(), firstAccount.mail(), firstAccount.password());
        return "redirect:/sign-in?made";
    }
}
