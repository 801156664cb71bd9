# frozen_string_literal: true

module Verglas
  module Guidance
    # What is said that helps, by the sign that was seen or where a set was felt instead; of several, what helped most
    # people here first, before it what helped this client. core/data/cues.yml
    module Cues
      # of: tags of the families on which it is meant; about: names of signs and regions; spares: of whom it is kept
      # (Cautions::Effect#spared).
      Cue = Value.define(:name, :of, :about, :spares)
      # helped, tried: how often, here.
      Count = Struct.new(:helped, :tried)
      NONE = Count.new(0, 0).freeze
      # How it went on after it was said: the same and worse did not help.
      WENT = %i[better same worse].freeze
      # Of what is known of a cue, the share it has at least with nine in ten.
      LOWER = 0.1

      ALL =
        Tables[:cues][:cues]
          .map { |row| Cue.new(name: row[:name], of: row[:of], about: row[:about] + row[:felt], spares: row[:spares]) }
          .freeze
      # All that a cue can be about.
      ABOUT = [*Signs::ALL.keys, *Regions::ALL.keys].freeze

      module_function

      # Names of those of the table that are meant on a family for a sign or a region, without those that ask for what
      # is spared.
      def of(family, about, spared = [])
        ALL
          .select { |cue| cue.about.include?(about) && family.all?(cue.of) && !cue.spares.intersect?(spared) }
          .map(&:name)
      end

      # names: in the table's order, the gym's own after them; counts: {name => Count}; theirs: names of those that
      # helped this client.
      def ranked(names, counts: {}, theirs: [])
        names.sort_by.with_index do |name, index|
          [theirs.include?(name) ? 0 : 1, -worth(counts.fetch(name, NONE)).round(6), index]
        end
      end

      # One success stands about level with six of twelve.
      def worth(count)
        Statistics::Beta.quantile(LOWER, successes: count.helped, failures: count.tried - count.helped)
      end
    end
  end
end
