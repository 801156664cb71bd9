# frozen_string_literal: true

require "browser"
require "digest"

module Verglas
  module Web
    # What somebody who is signed in does with their own account: another password, and where they are signed in.
    # POST /auth/password, GET /auth/sessions, POST /auth/sessions/end. docs/security.md
    module OwnAccount
      PATHS = %w[/auth/password /auth/sessions /auth/sessions/end].freeze
      LEAST_CHARACTERS = 12
      DEVICE_MOST = 60
      # Of the digest by which a session is asked for: its own id opens nothing, but is nobody's business.
      HANDLE_DIGITS = 24

      # For Rodauth's own object.
      module Session
        def active_sessions_insert_hash = super.merge(device: OwnAccount.device(request.user_agent))
        def own_sessions = active_sessions_ds.reverse(:last_use).all
        def current?(row) = compute_hmacs(session[session_id_session_key]).include?(row[:session_id])
        def end_session(row) = remove_active_session(row[:session_id])
      end

      # "Safari, iPad", as far as the browser says so. agent: its header, nil for none.
      def self.device(agent)
        told = Browser.new(agent.to_s)
        on = told.device.unknown? ? told.platform.name : told.device.name
        [told.name, on.delete_prefix("Generic ")].grep_v(/unknown/i).join(", ").slice(0, DEVICE_MOST)
      end

      # By what a row is asked for.
      def self.handle(row) = Digest::SHA256.hexdigest(row[:session_id]).slice(0, HANDLE_DIGITS)

      private

      def account_routes(request)
        return unless PATHS.include?(request.path_info)

        refuse(:sign_in_needed) unless rodauth.logged_in?
        refuse(:tablet_locked) if rodauth.tablet_locked?
        request.get("sessions") { json({ sessions: rodauth.own_sessions.map { |row| shown(row) } }) }
        request.post("password") { done { change_password(*request.params.values_at("password", "new_password")) } }
        request.post("sessions", "end") { done { end_sessions(request.params["session"]) } }
      end

      def shown(row)
        {
          session: OwnAccount.handle(row),
          device: row[:device],
          here: rodauth.current?(row),
          since: Application::Told.time(row[:created_at]),
          last: Application::Told.time(row[:last_use])
        }
      end

      # Whoever else is signed in under the old one is not any more.
      def change_password(password, wanted)
        id = asked_again(password)
        refuse(:password_same, "/new_password") if wanted == password
        check_password(wanted, "/new_password")
        rodauth.db.transaction do
          rodauth.set_password(wanted)
          rodauth.remove_all_active_sessions_except_current
          on_record("changed_password", id)
        end
      end

      def check_password(wanted, path)
        refuse(:password_short, path, least: LEAST_CHARACTERS) if wanted.length < LEAST_CHARACTERS
        refuse(:password_common, path) unless rodauth.password_meets_requirements?(wanted)
      end

      # handle: of one; nil for all but this one.
      def end_sessions(handle)
        others = rodauth.own_sessions.reject { |row| rodauth.current?(row) }
        rows = others.select { |row| handle.nil? || OwnAccount.handle(row) == handle }
        refuse(:not_found) if handle && rows.empty?
        rodauth.db.transaction do
          rows.each { |row| rodauth.end_session(row) }
          on_record("ended_sessions", rodauth.session_value) if rows.any?
        end
      end
    end
  end
end
