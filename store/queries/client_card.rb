# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # What stands on a client's card? A row a machine and exercise on which a fitting was accepted or is open: the
      # latest of each.
      class ClientCard
        # What a line shows.
        SHOWN = [
          :id,
          :client_id,
          :machine_id,
          :exercise,
          :state,
          :version,
          :marks,
          :aids,
          :knee_off_mm,
          :roller_seen,
          :updated_at,
          :accepted_at,
          :taken_back_at,
          *Sealed.names(:fittings, %i[load work result stop_sign taken_back])
        ].freeze

        def initialize(gym)
          @gym = gym
        end

        # upto: as it stood before then (with what each was computed from); nil for now.
        def call(client_id, upto: nil)
          return Sealed.open_all(:fittings, as_of(client_id, upto).all) if upto

          accepted, drafts =
            %w[accepted draft].map do |state|
              Sealed
                .open_all(:fittings, latest(client_id, state).all)
                .to_h { |row| [row.values_at(:machine_id, :exercise), row] }
            end
          accepted.merge(drafts) { |_, one, draft| one.merge(draft: draft) }.values
        end

        # Every fitting that was closed, accepted or stopped, newest first.
        def history(client_id)
          Sealed.open_all(
            :fittings,
            described(client_id, %w[accepted stopped taken_back]).order(
              Sequel.desc(:accepted_at),
              Sequel[:fittings][:id]
            ).all
          )
        end

        private

        def latest(client_id, state)
          described(client_id, state).distinct(Sequel[:fittings][:machine_id], :exercise).order(
            Sequel[:fittings][:machine_id],
            :exercise,
            Sequel.desc(:accepted_at)
          )
        end

        def as_of(client_id, upto)
          latest(client_id, "accepted").where(Sequel[:fittings][:accepted_at] < upto).select_append(
            Sequel[:fittings][:computed_from_cipher]
          )
        end

        # Whether a length of the client was read after it was accepted.
        def remeasured
          @gym.db[:readings]
            .where(Sequel[:readings][:client_id] => Sequel[:fittings][:client_id])
            .where { Sequel[:readings][:taken_at] > Sequel[:fittings][:accepted_at] }
            .select(1)
            .exists
        end

        def described(client_id, state)
          @gym
            .fittings
            .dataset
            .where(:client_id => client_id, Sequel[:fittings][:state] => state)
            .join(:machines, id: Sequel[:fittings][:machine_id])
            .left_join(
              :accounts,
              id: Sequel.function(:coalesce, Sequel[:fittings][:accepted_by], Sequel[:fittings][:updated_by])
            )
            .select(*SHOWN.map { |name| Sequel[:fittings][name] })
            .select_append(
              Sequel[:machines][:name].as(:machine_name),
              Sequel[:machines][:place].as(:machine_place),
              Sequel[:machines][:family].as(:machine_family),
              Sequel[:machines][:replaced_by].as(:replaced_by),
              Sequel[:accounts][:name].as(:by_name),
              remeasured.as(:remeasured)
            )
        end
      end
    end
  end
end
