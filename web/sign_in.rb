# frozen_string_literal: true

require "roda"
require "rodauth"
require "securerandom"

module Verglas
  module Web
    # Signing in and out, as JSON (Rodauth): POST /auth/login, /auth/logout. A session is known to the database, so that it
    # can be revoked; it ends after two hours without a request and after twelve in any case. Ten wrong passwords lock the
    # account for a quarter of an hour. Strict same-site cookies, the checked Origin and the JSON content type stand against
    # requests from elsewhere: docs/decisions/0004-http.md
    class SignIn < Roda
      # Cheap hashing for tests only, where accounts are made by the dozen.
      HASH_COST = ENV["APP_ENV"] == "test" ? { t_cost: 1, m_cost: 5 } : { t_cost: 2, m_cost: 16 }
      MOST_FAILURES = 10
      TABLET = "verglas_tablet"
      TABLET_ROUTES = %w[/auth/lock /auth/pin /auth/switch].freeze

      # What Rodauth calls its reasons, and what we say.
      REFUSALS = { account_locked_out: :locked_out, inactive_session: :sign_in_needed, session_expired: :sign_in_needed,
                   login_required: :sign_in_needed }.freeze

      plugin :middleware
      plugin :cookies
      plugin :json_parser, content_type_regexp: %r{\Aapplication/json\b}i
      plugin :rodauth, json: :only do
        enable :json, :login, :logout, :lockout, :active_sessions, :session_expiration, :argon2
        prefix "/auth"
        domain "localhost" # only links in mails would use it, and none are sent
        require_mail? false
        require_bcrypt? false
        password_hash_cost HASH_COST
        login_column :email
        use_database_authentication_functions? false
        max_invalid_logins MOST_FAILURES
        set_deadline_values? true
        account_lockouts_deadline_interval(minutes: 15)
        unlock_account_request_route nil
        unlock_account_route nil
        session_inactivity_deadline nil
        session_lifetime_deadline 12 * 60 * 60
        session_inactivity_timeout 2 * 60 * 60
        max_session_lifetime 12 * 60 * 60
        already_logged_in { nil }
        after_login { scope.remember_tablet(account_id) }
        login_param "email"
        normalize_login { |login| login.strip.downcase }
        hmac_secret { ENV.fetch("SESSION_SECRET") }
        set_error_reason { |reason| @refused_because = reason }
        json_response_body do |hash|
          code = REFUSALS.fetch(@refused_because, :sign_in_refused)
          JSON.generate(hash.key?("success") ? { ok: true } : Errors.body(Invalid.new(code, path: "/password")))
        end
      end

      route do |r|
        if r.path_info.start_with?("/api/")
          rodauth.check_active_session
          rodauth.check_session_expiration
        end
        env["rodauth"] = rodauth
        r.on("auth") do
          check(r)
          tablet_routes(r)
          r.rodauth
        end
        nil
      end

      # A tablet that several people share: who signed in there in full today may take it over with a short PIN. docs/decisions/0007-tablets.md
      def tablet_routes(request)
        request.get("tablet") { json(tablet_state) }
        return unless TABLET_ROUTES.include?(request.path_info) && request.post?

        refuse(:sign_in_needed) unless rodauth.logged_in?
        request.post("lock") { done { session["locked"] = true } }
        request.post("pin") { done { keep_pin(*request.params.values_at("password", "pin")) } }
        request.post("switch") { done { switch(*request.params.values_at("account_id", "pin")) } }
      end

      def done
        yield
        json({ ok: true })
      end

      def json(data)
        response["content-type"] = "application/json"
        JSON.generate(data)
      end

      # Called by Rodauth after a full sign-in.
      def remember_tablet(account_id)
        tablet = tablet_id || SecureRandom.uuid
        response.set_cookie(TABLET, value: tablet, path: "/", httponly: true, same_site: :strict, max_age: 400 * 24 * 60 * 60)
        Store::Tablets.new(rodauth.db).signed_in(tablet, account_id)
        session.delete("locked")
      end

      # Rodauth takes what it gets: the contract is asked first.
      def check(request)
        RequestBody.read(request)
        Contract.shared.check_request!(request)
      rescue Invalid => e
        status, headers, body = Errors.response(Errors.status(e), e)
        request.halt([status, headers, body])
      end

      # What is stored of a password.
      def self.password_hash(password) = ::Argon2::Password.new(**HASH_COST).create(password)

      private

      def tablet_id = request.cookies[TABLET].to_s[Store::Tablets::UUID]

      # Who may take it over, and whether it waits for a PIN.
      def tablet_state
        staff = rodauth.logged_in? && tablet_id ? Store::Tablets.new(rodauth.db).staff(tablet_id, gym_of: rodauth.session_value) : []
        { locked: session.key?("locked"), me: rodauth.logged_in? ? rodauth.session_value : nil, staff: staff }
      end

      # Asks the password again: whoever finds a tablet open must not be able to come back with a PIN of their own.
      def keep_pin(password, pin)
        rodauth.account_from_session
        refuse(:sign_in_refused, "/password") unless rodauth.password_match?(password)
        Store::Tablets.new(rodauth.db).put_pin(rodauth.session_value, SignIn.password_hash(pin))
      end

      def switch(account_id, pin)
        refused = Store::Tablets.new(rodauth.db).try(tablet_id, account_id, same_gym_as: rodauth.session_value) { |hash| ::Argon2::Password.verify_password(pin, hash) }
        refuse(refused, "/pin") if refused
        take_over(account_id) unless account_id == rodauth.session_value
        session.delete("locked")
      end

      def take_over(account_id)
        rodauth.remove_current_session
        rodauth.clear_session
        rodauth.account_from_login(rodauth.db[:accounts].where(id: account_id).get(:email))
        rodauth.login_session("pin")
      end

      def refuse(code, path = "")
        status, headers, body = Errors.response(Errors.status(Invalid.new(code)), Invalid.new(code, path: path))
        request.halt([status, headers, body])
      end
    end
  end
end
