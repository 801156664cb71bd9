# frozen_string_literal: true

module Verglas
  module Application
    class Intake
      # What a record of an archive is known by, and what it points at: texts that are alike at both ends. A pointer
      # whose text no record of the archive has points at nothing.
      class Pointers
        # Which section a column points into.
        REFERS = {
          "client_id" => :clients,
          "machine_id" => :machines,
          "copied_from" => :machines,
          "replaced_by" => :machines,
          "joined_into" => :clients,
          "fitting_id" => :fittings,
          "visit_id" => :visits,
          "programme_id" => :programmes
        }.freeze
        UNKEYED = %w[nameless_fittings].freeze
        # Set up from one fitting: of the same client on the same machine.
        SET_UP = %w[client_id machine_id exercise].freeze
        MOST = 300
        private_constant :REFERS, :UNKEYED, :SET_UP, :MOST

        # emails: of who works here, and needs not be in the archive.
        def initialize(emails)
          @staff = emails.map { |email| "staff/#{email}" }
        end

        def own(section, record)
          return [] if UNKEYED.include?(section)

          keys = ["#{section}/#{own_key(section, record)}"]
          keys.concat(exercises(record)) if section == "machines"
          keys << text("set_up", record["id"], *record.values_at(*SET_UP)) if section == "fittings"
          keys.map { |key| key.slice(0, MOST) }
        end

        def of(section, record)
          keys = REFERS.filter_map { |name, to| record[name] && "#{to}/#{record[name]}" }
          keys.concat(people(record), clients(record), described(section, record))
          keys.concat(planned(record).map { |key| "exercise/#{key}" })
          keys << text("exercise", *record.values_at("machine_id", "exercise")) if record.key?("exercise")
          keys << text("set_up", record["fitting_id"], *record.values_at(*SET_UP)) if section == "visits"
          keys.map { |key| key.downcase.slice(0, MOST) }.uniq - @staff
        end

        private

        def own_key(section, record)
          (
            record["id"] ||
              record.values_at(*Store::Archive::SECTIONS.fetch(section.to_sym).order.map(&:to_s)).join("/")
          ).to_s.downcase
        end

        # Those that are done on a machine; none of one of no known kind.
        def exercises(record)
          return [] unless Verglas::Machines::Families.known?(record["family"])

          Verglas::Machines::Families
            .fetch(record["family"])
            .all_exercises
            .keys
            .map { |exercise| text("exercise", record["id"], exercise.to_s) }
        end

        # Who waits, or goes in a group.
        def clients(record)
          [*record["clients"], *record["people"]].grep(String).map { |id| "clients/#{id}" }
        end

        # Machines with what is done on them: of a session's plan, of a group's stations.
        def planned(record)
          blocks = record["blocks"].is_a?(Array) ? record["blocks"].grep(Hash).flat_map { |one| one["keys"] } : []
          [*blocks, *record["stations"]].grep(String)
        end

        # As which description of its machine something was done; a machine has one of its own.
        def described(section, record)
          number = record["description_number"] or return []
          ["machine_descriptions/#{record[section == "machines" ? "id" : "machine_id"]}/#{number}"]
        end

        def people(record)
          named = record.filter_map { |name, email| email if name.end_with?("_by") }
          taped = record["taped"].is_a?(Hash) ? record["taped"].each_value.map { |one| one["by"] } : []
          [*named, *taped].compact.map { |email| "staff/#{email}" }
        end

        def text(*parts) = parts.join("/")
      end
    end
  end
end
