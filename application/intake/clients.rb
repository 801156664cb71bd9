# frozen_string_literal: true

require "date"
require "securerandom"

module Verglas
  module Application
    class Intake
      # People, with readings beside them where a table has columns for them. Somebody is known by their id, else by
      # name and what tells them apart; an empty cell leaves what is there.
      class Clients < Sheet
        FIELDS = %i[name detail sex birth_date body_mass].freeze
        READINGS = Formats::Csv::Sheets::READINGS.map(&:to_sym).freeze

        # Adds at once, changes one by one over the version that was seen.
        def write(outcomes)
          adds, changes =
            outcomes.reject { |outcome| outcome.action == :same }.partition { |outcome| outcome.action == :add }
          adds.each { |outcome| outcome.said[:id] ||= SecureRandom.uuid }
          @gym.clients.add_all(adds.map { |outcome| row(outcome.said) })
          @gym.readings.add_all(adds.flat_map { |outcome| readings(outcome.said[:id], outcome.said) }, by: @by)
          changes.each { |outcome| change(outcome.known, outcome.said) }
          adds.map { |outcome| outcome.said[:id] }
        end

        def key(values) = values[:id] || Store::Folded.of(values.values_at(:name, :detail).compact.join("\n"))

        private

        def prepare(rows)
          known = Store::Queries::KnownClients.new(@gym)
          ids = rows.filter_map { |values| values[:id] }.uniq
          @by_id = known.by_ids(ids)
          @elsewhere = known.elsewhere(ids - @by_id.keys)
          @by_name = known.by_names(rows.filter_map { |values| values[:name] })
          found = [*@by_id.keys, *@by_name.values.flatten.map { |row| row[:id] }].uniq
          @readings = @gym.readings.of_many(found)
        end

        def judge(line, values)
          if values[:birth_date] && values[:birth_date] > Date.today
            raise Invalid.new(:birth_date_in_future, path: "/birth_date")
          end
          raise Invalid.new(:id_elsewhere, path: "/id") if @elsewhere.include?(values[:id])

          READINGS.each { |name| Readings.check_range(name, values[name]) if values[name] }
          standing(line, values)
        end

        def standing(line, values)
          namesake = called(values)
          row = values[:id] ? @by_id[values[:id]] : namesake
          raise Invalid.new(:namesake, path: "/detail") if namesake && namesake[:id] != row&.fetch(:id)
          return Outcome.new(line, :add, nil, values, nil, namesakes(values)) unless row

          if changed?(values, row)
            Outcome.new(line, :change, nil, values, row, changes(values, row))
          else
            Outcome.new(line, :same, nil, values, row)
          end
        end

        # That somebody else is called so; nil where nobody is.
        def namesakes(values)
          others = @by_name.fetch(values[:name], []).size
          Changes.words(:namesakes, count: others, name: values[:name]) if others.positive?
        end

        # What becomes what. What tells namesakes apart lies encrypted: of it only that it changes.
        def changes(values, row)
          fields =
            said(values)
              .reject { |name, value| same?(value, row[name]) }
              .map { |name, value| change_of(name, row[name], value) }
          read =
            new_readings(values, row[:id]).map do |name|
              Changes.reading(name, @readings.dig(row[:id], name.to_s, :value_mm), values[name])
            end
          [*fields, *read].join(" ")
        end

        def change_of(name, from, upto)
          return Changes.words(:detail_changes) if name == :detail

          Changes.sentence(
            Changes.words(:"fields.#{name}"),
            *[from, upto].map { |value| value.is_a?(Numeric) ? Told::Load.number(value) : value&.to_s }
          )
        end

        def called(values)
          digest = Store::Tables::Clients.detail_digest(@gym.id, values.fetch(:detail, ""))
          @by_name.fetch(values[:name], []).find { |row| row[:detail_digest] == digest }
        end

        # Who is known by their name keeps it as it is written there.
        def said(values) = values[:id] ? columns(values) : columns(values).except(:name)
        def changed?(values, row) = differs?(said(values), row) || new_readings(values, row[:id]).any?
        def columns(values) = values.slice(*FIELDS).transform_keys { |name| name == :body_mass ? :body_mass_kg : name }
        def new_readings(values, id)
          READINGS.select { |name| values[name] && !same?(values[name], @readings.dig(id, name.to_s, :value_mm)) }
        end
        def row(values) = { id: values[:id], detail: "", **columns(values) }

        def readings(id, values, names = READINGS)
          names.filter_map do |name|
            values[name] &&
              {
                client_id: id,
                observation: name.to_s,
                value_mm: values[name],
                unit: "cm",
                confirmed: false,
                taken_by: @by,
                taken_at: nil
              }
          end
        end

        def change(row, values)
          fields = said(values)
          @gym.clients.update(row[:id], version: row[:version], **fields) if differs?(fields, row)
          @gym.readings.put_all(readings(row[:id], values, new_readings(values, row[:id])))
        end
      end
    end
  end
end
