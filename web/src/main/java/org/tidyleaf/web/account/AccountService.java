package org.tidyleaf.web.account;

import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Makes accounts and finds them for signing in. */
@Service
public class AccountService implements UserDetailsService {
    private final AccountRepository accounts;
    private final PasswordEncoder encoder;
    private final Clock clock;

    AccountService(AccountRepository accounts, PasswordEncoder encoder, Clock clock) {
        this.accounts = accounts;
        this.encoder = encoder;
        this.clock = clock;
    }

    @Override
    @Transactional(readOnly = true)
    public UserDetails loadUserByUsername(String mail) {
        return accounts.findByMail(plain(mail))
                .map(account -> new Teacher(account.id, account.name, account.mail, account.passwordHash))
                .orElseThrow(() -> new UsernameNotFoundException(mail));
    }

    /** Whether nobody has an account yet, so that the first visitor is asked to make one. */
    @Transactional(readOnly = true)
    public boolean isEmpty() {
        return accounts.count() == 0;
    }

    /** Makes the first account; does nothing if there is one already. */
    @Transactional
    public void makeFirst(String name, String mail, String password) {
        if (isEmpty()) {
            make(name, mail, password);
        }
    }

    @Transactional
    public UUID make(String name, String mail, String password) {
        AccountEntity account = new AccountEntity(name.strip(), plain(mail), encoder.encode(password), clock.instant());
        return accounts.save(account).id;
    }

    private static String plain(String mail) {
        return mail.strip().toLowerCase(Locale.ROOT);
    }

    /** Somebody with an account. */
    public record Colleague(UUID id, String name, String mail) {}

    @Transactional(readOnly = true)
    public Optional<Colleague> find(String mail) {
        return accounts.findByMail(plain(mail)).map(AccountService::colleague);
    }

    @Transactional(readOnly = true)
    public List<Colleague> all(List<UUID> ids) {
        return accounts.findAllById(ids).stream().map(AccountService::colleague).toList();
    }

    private static Colleague colleague(AccountEntity account) {
        return new Colleague(account.id, account.name, account.mail);
    }
}
