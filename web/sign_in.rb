# frozen_string_literal: true

require "roda"
require "rodauth"

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

      # What Rodauth calls its reasons, and what we say.
      REFUSALS = { account_locked_out: :locked_out, inactive_session: :sign_in_needed, session_expired: :sign_in_needed,
                   login_required: :sign_in_needed }.freeze

      include SharedTablet

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
        auth_class_eval { include SharedTablet::Session }
        normalize_login { |login| login.strip.downcase }
        hmac_secret { ENV.fetch("SESSION_SECRET") }
        set_error_reason { |reason| @refused_because = reason }
        json_response_body do |hash|
          code = REFUSALS.fetch(@refused_because, :sign_in_refused)
          JSON.generate(hash.key?("success") ? { ok: true } : Errors.body(Invalid.new(code, path: "/password")))
        end
      end

      route do |r|
        # An ended session opens no door but the one for signing in.
        if r.path_info.start_with?("/api/", "/auth/") && r.path_info != "/auth/login"
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
    end
  end
end
