# frozen_string_literal: true

module Verglas
  module Store
    module Archive
      # A gym's archive as text, line by line: of one moment, and nothing is held but some rows at a time.
      class Outgoing
        include Enumerable

        FETCHED = 500

        # health: whether what speaks of somebody's health stands in it, in clear.
        def initialize(gym, health:)
          @gym = gym
          @health = health
        end

        def each(&)
          return to_enum unless block_given?

          yield "{\n\"format\":#{JSON.generate(FORMAT)},\n\"version\":#{VERSION},\n\"health_notes\":#{@health},\n"
          @gym
            .db
            .transaction(isolation: :repeatable, read_only: true) do
              @gym.allow(TAKEN_MS)
              yield "\"gym\":#{JSON.generate(@gym.row.slice(*GYM))}"
              SECTIONS.each_value { |section| write(section, &) if @health || !Health::SECTIONS.include?(section.name) }
            end
          yield "\n}\n"
        end

        private

        def write(section)
          yield ",\n#{JSON.generate(section.name)}:["
          first = true
          rows(section)
            .use_cursor(rows_per_fetch: FETCHED)
            .each do |row|
              yield "#{"," unless first}\n#{JSON.generate(record(section, row))}"
              first = false
            end
          yield "\n]"
        end

        def rows(section)
          rows = @health ? section.rows(@gym) : Health.rows(section, section.rows(@gym))
          rows.order(*section.order).select(*section.columns(@gym.db))
        end

        def record(section, row)
          Sealed.open(section.table, row) if section.sealed.any?
          record = row.to_h { |name, value| [name, plain(name, value)] }
          record[:taped] = record[:taped].transform_values do |one|
            one.merge("by" => emails[one["by"]])
          end if record.key?(:taped)
          @health ? record : Health.without(section, record)
        end

        def plain(name, value)
          case value
          when Integer
            name.end_with?("_by") ? emails.fetch(value) : value
          when BigDecimal
            value.to_f
          when Time
            value.utc.iso8601(6)
          when Date
            value.iso8601
          when Sequel::SQL::Blob
            [value].pack("m0")
          when Sequel::Postgres::JSONHash
            value.to_h
          when Sequel::Postgres::JSONArray
            value.to_a
          else
            value
          end
        end

        def emails = @emails ||= @gym.db[:accounts].where(gym_id: @gym.id).select_hash(:id, :email)
      end
    end
  end
end
