# frozen_string_literal: true

require "roda"
require "rodauth"

module Verglas
  module Web
    # Signing in and out, as JSON (Rodauth): POST /auth/login, /auth/logout. A session is known to the database, so that
    # it can be revoked; it ends after two hours without a request and after twelve in any case. Whoever guesses is
    # slowed down (Guessing), and learns nothing of which accounts there are: an e-mail that nobody has takes as long
    # and is told in the same words. Strict same-site cookies, the checked Origin and the JSON content type stand
    # against requests from elsewhere: docs/decisions/0004-http.md
    class SignIn < Roda
      # Cheap hashing for tests only, where accounts are made by the dozen.
      HASH_COST = ENV["APP_ENV"] == "test" ? { t_cost: 1, m_cost: 5 } : { t_cost: 2, m_cost: 16 }
      DOOR = "/auth/login"

      # What Rodauth calls its reasons, and what we say.
      REFUSALS = {
        inactive_session: :sign_in_needed,
        session_expired: :sign_in_needed,
        login_required: :sign_in_needed
      }.freeze

      # An e-mail that nobody has costs what a wrong password costs. For Rodauth's own object.
      module Evenly
        def account_from_login(login)
          found = super
          return found if found || scope.request.path_info != DOOR

          ::Argon2::Password.verify_password(param(password_param), NOBODYS_HASH)
          scope.tried_in_vain(nil)
          nil
        end
      end

      include SharedTablet
      include OwnAccount
      include WaysIn

      plugin :middleware
      plugin :cookies
      plugin :json_parser, content_type_regexp: %r{\Aapplication/json\b}i
      plugin :rodauth, json: :only do
        enable :json, :login, :logout, :active_sessions, :session_expiration, :argon2, :disallow_common_passwords
        prefix "/auth"
        domain "localhost" # only links in mails would use it, and none are sent
        require_bcrypt? false
        password_minimum_length OwnAccount::LEAST_CHARACTERS
        password_hash_cost HASH_COST
        login_column :email
        skip_status_checks? false
        account_status_column :status_id
        account_open_status_value Store::Staff::OPEN
        # Nobody signs in with an account that is not open.
        account_unverified_status_value Store::Staff::OPEN
        use_database_authentication_functions? false
        session_inactivity_deadline nil
        session_lifetime_deadline 12 * 60 * 60
        session_inactivity_timeout 2 * 60 * 60
        max_session_lifetime 12 * 60 * 60
        already_logged_in { nil }
        after_login { scope.let_in(account_id) }
        after_login_failure { scope.tried_in_vain(account_id) }
        before_logout { scope.on_record("signed_out", session_value) if logged_in? }
        login_param "email"
        auth_class_eval do
          include SharedTablet::Session
          include OwnAccount::Session
          include Evenly
        end
        normalize_login { |login| login.strip.downcase }
        hmac_secret { ENV.fetch("SESSION_SECRET") }
        set_error_reason { |reason| @refused_because = reason }
        json_response_body do |hash|
          code = REFUSALS.fetch(@refused_because, :sign_in_refused)
          JSON.generate(hash.key?("success") ? { ok: true } : Errors.body(Invalid.new(code, path: "/password")))
        end
      end

      route do |r|
        # An ended session opens no door but those for signing in.
        if r.path_info.start_with?("/api/", "/auth/") && ![DOOR, *WaysIn::PATHS].include?(r.path_info)
          rodauth.check_active_session
          rodauth.check_session_expiration
        end
        env["rodauth"] = rodauth
        r.on("auth") do
          check(r)
          slow_down if r.path_info == DOOR
          ways_in(r)
          tablet_routes(r)
          account_routes(r)
          r.rodauth
          r.halt(Errors.response(404, Invalid.new(:not_found)))
        end
        nil
      end

      # Called by Rodauth when a password was right.
      def let_in(account_id)
        guessing.signed_in(whose[:email], **whose.slice(:address, :familiar))
        remember_tablet(account_id)
        on_record("signed_in", account_id)
      end

      # In the trail of the gym where somebody works.
      def on_record(action, account_id)
        gym_id = rodauth.db[:accounts].where(id: account_id).get(:gym_id) || NOWHERE
        Store::Gym.new(rodauth.db, gym_id).trail.add(action, by: account_id)
      end

      # Who works nowhere, and where.
      NOBODY = 0
      NOWHERE = "00000000-0000-0000-0000-000000000000"

      # A wrong password stands in the trail. One of an e-mail that nobody has asks for the same and is taken back, and
      # neither waits for the disk: how long an answer takes does not tell who works here.
      def tried_in_vain(account_id)
        rodauth
          .db
          .transaction(rollback: account_id ? nil : :always) do
            rodauth.db.run("SET LOCAL synchronous_commit = off")
            on_record("wrong_password", account_id || NOBODY)
          end
      end

      # What is stored of a password.
      def self.password_hash(password) = ::Argon2::Password.new(**HASH_COST).create(password)

      # A hash that no password has, made before the first stranger comes.
      NOBODYS_HASH = password_hash(SecureRandom.hex)

      private

      # Rodauth takes what it gets: the contract is asked first.
      def check(request)
        RequestBody.read(request)
        Contract.shared.check_request!(request)
      end

      def slow_down
        wait = guessing.sign_in(whose[:email], **whose.slice(:address, :familiar))
        refuse(:too_many_passwords, wait: wait) if wait
      end

      # An e-mail, where it is tried from, and whether it signed in on this device before.
      def whose
        @whose ||=
          begin
            email = request.params["email"].strip.downcase
            { email: email, address: env["REMOTE_ADDR"], familiar: !tablet_id.nil? && tablets.known?(tablet_id, email) }
          end
      end

      def guessing = @guessing ||= Guessing.new(rodauth.db)
    end
  end
end
