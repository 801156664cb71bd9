# frozen_string_literal: true

require "securerandom"

module Verglas
  module Web
    # A tablet that several people share: who signed in there in full today may take it over with a short PIN, and it
    # can be locked in between. GET /auth/tablet, POST /auth/lock, /auth/pin, /auth/switch.
    # docs/decisions/0007-tablets.md
    module SharedTablet
      COOKIE = "verglas_tablet"
      COOKIE_SECONDS = 400 * 24 * 60 * 60
      POSTS = %w[/auth/lock /auth/pin /auth/switch].freeze
      DOORS = [*POSTS, "/auth/tablet"].freeze

      # What a session knows of its lock: in the database, so that no older cookie opens it. For Rodauth's own object.
      module Session
        def lock_tablet = session_row.update(locked: true)
        def unlock_tablet = session_row.update(locked: false)
        def tablet_locked? = session_row.get(:locked) == true

        private

        def session_row
          active_sessions_ds.where(active_sessions_session_id_column => compute_hmac(session[session_id_session_key]))
        end
      end

      # Called after a full sign-in. The tablet gets a new name each time: one that somebody planted or copied before is
      # worth nothing from then on.
      def remember_tablet(account_id)
        tablet = SecureRandom.uuid
        response.set_cookie(
          cookie_name,
          value: tablet,
          path: "/",
          httponly: true,
          secure: site.secure?,
          same_site: :strict,
          max_age: COOKIE_SECONDS
        )
        tablets.signed_in(tablet, account_id, before: tablet_id)
      end

      private

      def tablet_routes(request)
        # As if nobody were signed in, for an account that was closed since.
        if rodauth.logged_in? && DOORS.include?(request.path_info) &&
             !Store::Staff.find(rodauth.db, rodauth.session_value)
          refuse(:sign_in_needed)
        end
        request.get("tablet") { json(tablet_state) }
        return unless POSTS.include?(request.path_info) && request.post?

        refuse(:sign_in_needed) unless rodauth.logged_in?
        request.post("lock") { done { lock } }
        request.post("pin") { done { keep_pin(*request.params.values_at("password", "pin")) } }
        request.post("switch") { done { switch(*request.params.values_at("account_id", "pin")) } }
      end

      def site = env.fetch(Site::HERE)
      def cookie_name = site.cookie(COOKIE)
      def tablets = Store::Tablets.new(rodauth.db)
      def tablet_id = request.cookies[cookie_name].to_s[Store::Tablets::UUID]

      # Who may take it over, and whether it waits for a PIN.
      def tablet_state
        return { locked: false, me: nil, staff: [] } unless rodauth.logged_in?

        {
          locked: rodauth.tablet_locked?,
          me: rodauth.session_value,
          staff: tablet_id ? tablets.staff(tablet_id, gym_of: rodauth.session_value) : []
        }
      end

      # Asks the password again: whoever finds a tablet open must not be able to come back with a PIN of their own, nor
      # try passwords here. Raises Invalid for a PIN that is easily guessed.
      def keep_pin(password, pin)
        refuse(:tablet_locked) if rodauth.tablet_locked?
        id = asked_again(password)
        Inputs::Pin.check!(pin)
        tablets.put_pin(id, SignIn.password_hash(pin))
        on_record("kept_pin", id)
      end

      # Who is signed in, once their password was right; tries are counted.
      def asked_again(password)
        id = rodauth.session_value
        wait = guessing.again(id)
        refuse(:too_many_passwords, wait: wait) if wait
        rodauth.account_from_session
        refuse_password(id) unless rodauth.password_match?(password)
        guessing.right_again(id)
        id
      end

      def refuse_password(id)
        on_record("wrong_password", id)
        refuse(:sign_in_refused, "/password")
      end

      def lock
        rodauth.lock_tablet
        on_record("locked_tablet", rodauth.session_value)
      end

      def switch(account_id, pin)
        refused =
          tablets.try(tablet_id, account_id, same_gym_as: rodauth.session_value) do |hash|
            ::Argon2::Password.verify_password(pin, hash)
          end
        on_record("wrong_pin", account_id) if refused == :pin_refused
        refuse(refused, "/pin") if refused
        account_id == rodauth.session_value ? unlock : take_over(account_id)
      end

      def unlock
        rodauth.unlock_tablet
        on_record("opened_tablet", rodauth.session_value)
      end

      # A session of one's own; the other's ends.
      def take_over(account_id)
        rodauth.remove_current_session
        rodauth.clear_session
        rodauth.account_from_login(rodauth.db[:accounts].where(id: account_id).get(:email))
        rodauth.login_session("pin")
        on_record("took_tablet_over", account_id)
      end

      def done
        yield
        json({ ok: true })
      end

      def json(data)
        response["content-type"] = "application/json"
        JSON.generate(data)
      end

      # wait: seconds after which the same may be asked again.
      def refuse(code, path = "", wait: nil, **numbers)
        invalid = Invalid.new(code, path: path, **numbers, **(wait ? { minutes: (wait / 60.0).ceil } : {}))
        request.halt(Errors.response(Errors.status(invalid), invalid, wait ? { "retry-after" => wait.to_s } : {}))
      end
    end
  end
end
