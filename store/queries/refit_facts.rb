# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # What is known of the gym's latest cards that may make somebody look at them again, in one statement: a row a
      # client, machine and exercise, with until when it was put off (nil where it was not). Those on machines that
      # are not on the floor, and of people who are put away, are left out.
      class RefitFacts
        LATEST = 600
        CARD = Sequel[:card]

        def initialize(gym)
          @gym = gym
        end

        # today: Date.
        def call(today)
          cards =
            @gym.db[:card]
              .with(:lately, lately)
              .with(:card, latest)
              .join(:clients, id: CARD[:client_id])
              .join(:machines, { id: CARD[:machine_id] })
              .exclude(Sequel[:machines][:state] => Tables::Machines::OFF_THE_FLOOR)
              .where(Sequel[:clients][:away_since] => nil)
          rows =
            cards
              .select_all(:card)
              .select_append(
                *OF_CLIENT,
                *OF_MACHINE,
                *asked.map { |name, question| question.as(name) },
                snoozed(today).as(:snoozed_until)
              )
              .all
          Sealed.open_all(:clients, rows, prefix: "client_")
        end

        OF_CLIENT = [
          Sequel[:clients][:name].as(:client_name),
          Sequel[:clients][:detail_cipher].as(:client_detail_cipher),
          Sequel[:clients][:birth_date]
        ].freeze
        OF_MACHINE = [
          Sequel[:machines][:name].as(:machine_name),
          Sequel[:machines][:place].as(:machine_place),
          :family,
          (Sequel[:machines][:description_number] > CARD[:description_number]).as(:redescribed)
        ].freeze
        private_constant :OF_CLIENT, :OF_MACHINE

        private

        def lately
          @gym
            .fittings
            .dataset
            .where(state: "accepted")
            .order(Sequel.desc(:accepted_at))
            .limit(LATEST)
            .select(
              :id,
              :client_id,
              :machine_id,
              :exercise,
              :description_number,
              :accepted_at,
              :marks,
              :knee_off_mm,
              :roller_seen
            )
        end

        def latest
          @gym.db[:lately].distinct(:client_id, :machine_id, :exercise).order(
            :client_id,
            :machine_id,
            :exercise,
            Sequel.desc(:accepted_at)
          )
        end

        def snoozed(today)
          put_off = Sequel[:refit_snoozes]
          @gym.db[:refit_snoozes]
            .where(%i[client_id machine_id exercise].to_h { |name| [put_off[name], CARD[name]] })
            .where(Sequel[:until] > today)
            .select(:until)
        end

        # {name => question of one card}
        def asked
          {
            read_since: read.select(1).exists,
            caution_since: cautioned.select(1).exists,
            **lifted(sets),
            **loaded(sets.where(Sequel[:sets][:leg] => "", Sequel[:sets][:kind] => "").exclude(load_kg: nil))
          }
        end

        def read = @gym.db[:readings].where(client_id: CARD[:client_id]).where(Sequel[:taken_at] > CARD[:accepted_at])
        def cautioned
          @gym.db[:client_cautions].where(client_id: CARD[:client_id]).where(
            Sequel.|(Sequel[:set_at] > CARD[:accepted_at], Sequel[:removed_at] > CARD[:accepted_at])
          )
        end

        # Done from the card's fitting, and standing.
        def sets
          @gym.db[:sets].join(:visits, id: :visit_id).where(
            Sequel[:visits][:fitting_id] => CARD[:id],
            Sequel[:sets][:taken_back_at] => nil
          )
        end

        # Whole: without anything that sends back.
        def lifted(sets)
          by_visit = sets.select_group(:visit_id)
          {
            sent_back:
              sets
                .order(Sequel.desc(Sequel[:visits][:begun_at]), Sequel.desc(Sequel[:sets][:number]))
                .limit(1)
                .select(Sequel[:sets][:sends_back]),
            visits: counted(by_visit),
            whole_visits: counted(by_visit.having(~Sequel.function(:bool_or, Sequel[:sets][:sends_back])))
          }
        end

        def loaded(sets)
          {
            first_kg: sets.order(:done_at).limit(1).select(:load_kg),
            last_kg: sets.order(Sequel.desc(:done_at)).limit(1).select(:load_kg)
          }
        end

        def counted(rows) = rows.from_self.select { count.function.* }
      end
    end
  end
end
