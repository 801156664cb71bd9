# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # Who works in a gym, as whoever leads it keeps them. Somebody always leads it.
      class Colleagues
        LEAD = "lead"

        def initialize(gym)
          @gym = gym
          @db = gym.db
        end

        def dataset = @db[:accounts].where(Sequel[:accounts][:gym_id] => @gym.id)
        def find(id) = dataset.first(id: id)

        # Everybody, by name, with on how many devices they are signed in (sessions), on which (devices, each once, the
        # last used first) and when they last did something (last_use).
        def all
          sessions =
            @db[:account_active_session_keys].group(:account_id).select(
              :account_id,
              Sequel.function(:count, Sequel.lit("*")).as(:sessions),
              Sequel.function(:max, :last_use).as(:last_use),
              Sequel.lit("string_agg(device, E'\\n' ORDER BY last_use DESC)").as(:devices)
            )
          dataset
            .left_join(sessions.as(:signed_in), account_id: Sequel[:accounts][:id])
            .order(:status_id, :name)
            .select_all(:accounts)
            .select_append(:sessions, :last_use, :devices)
            .all
            .each { |row| row[:devices] = row[:devices].to_s.split("\n").uniq }
        end

        # Raises Stale where somebody changed them since, Invalid where nobody would lead the gym any more.
        def change_role(id, role, version:) = change(id, version, role: role)

        # Nobody signs in with a closed account, and whoever is signed in is not any more.
        def close(id, version:)
          change(id, version, status_id: Staff::CLOSED).tap { end_sessions(id) }
        end

        def reopen(id, version:)
          taken = @db[:accounts].where(status_id: Staff::OPEN).where(same_email(find(id)[:email])).any?
          raise Invalid.new(:email_taken, path: "/email") if taken

          change(id, version, status_id: Staff::OPEN)
        end

        # Everywhere, and on every tablet.
        def end_sessions(id)
          @db[:account_active_session_keys].where(account_id: id).delete
          @db[:tablet_staff].where(account_id: id).delete
        end

        # Whether more than one person works here; whether anybody keeps a PIN for a shared tablet.
        def several? = dataset.where(status_id: Staff::OPEN).limit(2).count > 1
        def pin? = !@db[:account_pins].where(id: dataset.select(:id)).empty?

        # Invitations that still open something, the newest first.
        def invitations
          links.where(kind: "invitation").where { ends_at > Sequel::CURRENT_TIMESTAMP }.reverse(:made_at).all
        end

        # Raises Invalid where somebody works under that e-mail address already. An earlier link to it opens nothing any
        # more.
        def invite(name:, email:, role:, by:)
          email = email.strip.downcase
          taken = @db[:accounts].exclude(status_id: Staff::CLOSED).where(same_email(email)).any?
          raise Invalid.new(:email_taken, path: "/email") if taken

          links.where(kind: "invitation", email: email).delete
          StaffLinks.new(@db).make(
            "invitation",
            gym_id: @gym.id,
            name: name.strip,
            email: email,
            role: role,
            made_by: by
          )
        end

        # Answers how many there were.
        def withdraw(id) = links.where(kind: "invitation", id: id).delete

        # A link for a new password; an earlier one opens nothing any more.
        def reset(id, by:)
          links.where(kind: "reset", account_id: id).delete
          StaffLinks.new(@db).make("reset", gym_id: @gym.id, account_id: id, made_by: by)
        end

        private

        def links = @db[:staff_links].where(gym_id: @gym.id)
        def same_email(email) = { Sequel.function(:lower, :email) => email.downcase }

        def change(id, version, **fields)
          @db.transaction do
            @db[:gyms].where(id: @gym.id).for_update.get(:id)
            rows = dataset.where(id: id, version: version).returning.update(**fields, version: Sequel[:version] + 1)
            raise Stale, find(id) if rows.empty?
            raise Invalid, :last_lead if dataset.where(role: LEAD, status_id: Staff::OPEN).empty?

            @db[:client_shares].where(account_id: id).delete unless rows.first[:role] == "clinician"
            rows.first
          end
        end
      end
    end
  end
end
