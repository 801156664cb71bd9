# frozen_string_literal: true

module Verglas
  module Application
    # Two records that turn out to be one person's become one, and can be taken apart again. What the kept one lacks is
    # the other's; where both say something the kept one's stays. What they differ in and somebody could be hurt by is
    # settled by people first: cautions, limits, their own rules, mass, age and sex.
    class Joining
      # Told of each of the two: how much there is of it.
      COUNTED = %i[fittings visits sessions readings].freeze
      PLAIN = %i[sex birth_date body_mass_kg].freeze
      CONSENT = %i[consented_on consent_text consent_withdrawn_on].freeze
      NO_CONSENT = { consented_on: nil, consent_text: "", consent_withdrawn_on: nil }.freeze

      # row: the client's whose record is kept.
      def initialize(gym, row)
        @gym = gym
        @row = row
      end

      # {kept:, other:} with what is counted of each, and [Invalid] of what stands in the way.
      def beside(other) = { kept: told(@row), other: told(other), in_the_way: in_the_way(other) }

      # The kept record as it then is. versions: of both, as the writer saw them. Raises Invalid for what stands in the
      # way, Stale.
      def join(other, version:, other_version:, by:)
        raise Invalid.new(:joined_itself, path: "/other") if other[:id] == @row[:id]

        @gym.joins.hold(@row[:id] => version, other[:id] => other_version)
        in_the_way(other).first&.then { |refusal| raise refusal }
        taken = taken_from(other)
        @gym.joins.join(other[:id], @row[:id], by: by, taken: taken.keys)
        @gym.clients.take_over(@row[:id], version: version, **fields(taken))
      end

      # As two records again; both are asked about cautions anew. Raises Invalid where that record is not joined into
      # this one.
      def apart(other_id, version:)
        @gym.joins.hold(@row[:id] => version)
        other = @gym.joins.of(@row[:id]).find { |row| row[:id] == other_id }
        raise Invalid.new(:not_joined, path: "/other") unless other

        @gym.joins.apart(other)
        @gym.clients.take_over(other_id, version: other[:version] + 1, cautions_asked_on: nil)
        @gym.clients.take_over(@row[:id], version: version, cautions_asked_on: nil, **given_back(other))
      end

      private

      def told(row)
        {
          **row.slice(:id, :name, :detail, *PLAIN, :version),
          **COUNTED.to_h { |table| [table, @gym.db[table].where(client_id: row[:id]).count] },
          cautions: @gym.cautions.of(row[:id]).size
        }
      end

      def in_the_way(other) = [*drafts(other), *running(other), *cautions(other), *differing(other)]

      # A fitting that both have begun on a machine.
      def drafts(other)
        begun = [@row, other].map { |row| drafts_of(row).select_map(%i[machine_id exercise]) }
        both = begun.inject(:&).map(&:first).uniq
        return [] if both.empty?

        names = @gym.machines.dataset.where(id: both).order(:name).select_map(:name)
        [Invalid.new(:joined_drafts, path: "/other", machines: names.join(", "))]
      end

      def drafts_of(row) = @gym.fittings.dataset.where(client_id: row[:id], state: "draft")

      def running(other)
        both = [@row, other].map { |row| row[:id] }
        return [] if @gym.sessions.dataset.where(client_id: both, state: "running").count < both.size

        [Invalid.new(:joined_running, path: "/other")]
      end

      # What is said of the other one and stands otherwise, or is taken out, at the kept one.
      def cautions(other)
        kept =
          [*@gym.cautions.of(@row[:id]), *@gym.cautions.removed(@row[:id])].to_h { |row| [row[:caution], said(row)] }
        lost = @gym.cautions.of(other[:id]).reject { |row| [nil, said(row)].include?(kept[row[:caution]]) }
        return [] if lost.empty?

        [Invalid.new(:joined_cautions, path: "/other", number: lost.size)]
      end

      # What both say and do not agree in, by which marks, loads and bars are decided.
      def differing(other)
        what = [*facts(other), *limits(other), *rules(other)]
        what.empty? ? [] : [Invalid.new(:joined_differ, path: "/other", what: what.join(", "))]
      end

      def facts(other)
        names = PLAIN.select { |name| @row[name] && other[name] && @row[name] != other[name] }
        names.map { |name| words("joined.#{name}") }
      end

      def limits(other)
        kept = @row[:limits].to_h
        names = other[:limits].to_h.select { |name, limit| kept.key?(name) && kept[name]["deg"] != limit["deg"] }.keys
        names.map { |name| words("limits.#{name}.title").downcase }
      end

      def rules(other)
        kept, others =
          [@row, other].map { |row| @gym.rules.of_client(row[:id]).to_h { |rule| rule.values_at(:question, :school) } }
        names = others.select { |question, school| kept.key?(question) && kept[question] != school }.keys
        names.map { |question| words("house_rules.#{question}.title").downcase }
      end

      def words(key) = Formats::Words.say(key)

      def said(row) = row.slice(*Store::Tables::Cautions::WRITABLE, :removed_at)

      # {name => value} of what the kept record lacks; limits by their names.
      def taken_from(other)
        limits = other[:limits].to_h.reject { |name, _| @row[:limits].to_h.key?(name) }
        { **lacking(other), **decided(other), **limits.transform_keys(&:to_s) }
      end

      def lacking(other)
        names = [*PLAIN, :cautions_asked_on].select { |name| @row[name].nil? && other[name] }
        names.to_h { |name| [name, other[name]] }
      end

      # Whoever asked once that nothing is learned of them asked it of both; whoever is here in one of them is here.
      def decided(other)
        {
          teaches: (false if @row[:teaches] && !other[:teaches]),
          consented_on: (other.slice(*CONSENT) if @row[:consented_on].nil? && other[:consented_on])
        }.compact.merge(@row[:away_since] && other[:away_since].nil? ? { away_since: nil } : {})
      end

      def fields(taken)
        limits, plain = taken.partition { |name, _| name.is_a?(String) }.map(&:to_h)
        plain = { **plain.except(:consented_on), **plain.fetch(:consented_on, {}) }
        limits.empty? ? plain : { **plain, limits: { **@row[:limits].to_h, **limits } }
      end

      # Of what was taken over, what stands so still.
      def given_back(other)
        names = other[:taken].to_a
        plain = PLAIN.select { |name| names.include?(name.to_s) && @row[name] == other[name] }
        back = plain.to_h { |name| [name, nil] }
        back[:teaches] = true if names.include?("teaches")
        back.merge!(NO_CONSENT) if names.include?("consented_on") && @row.slice(*CONSENT) == other.slice(*CONSENT)
        limits = @row[:limits].to_h
        left = limits.reject { |name, value| names.include?(name.to_s) && other[:limits].to_h[name] == value }
        left == limits ? back : { **back, limits: left }
      end
    end
  end
end
