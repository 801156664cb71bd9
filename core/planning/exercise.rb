# frozen_string_literal: true

module Verglas
  module Planning
    # What a session could hold: an exercise on one machine for one client, with what it costs in seconds.
    #   works    names of the muscles that are meant (Guidance::Regions); place: where in the gym its machine stands
    #   rank     1 several joints, 2 a hinge, 3 one joint (core/data/session.yml)
    #   worth    of its first set; kept: at least one set of it is wanted in any case; most: sets at most
    #   set_s, rest_s, light_s (the light set with its rest; 0 for none), change_s (setting the machine up from the
    #   marks at which it stands), in_s and out_s (getting in and out)
    Exercise =
      Value.define(
        :id,
        :works,
        :rank,
        :place,
        :worth,
        :kept,
        :most,
        :set_s,
        :rest_s,
        :light_s,
        :change_s,
        :in_s,
        :out_s
      ) do
        # What comes once, however many sets are done.
        def once_s = change_s + in_s + light_s + out_s + Exercise::WRITE_DOWN_S

        # Done by itself, sets >= 1.
        def alone_s(sets) = once_s + (sets * set_s) + ((sets - 1) * rest_s)

        # From here to another machine, without a thought of muscles.
        def walk_s(other) = place == other.place ? Exercise::HOP[:within_s] : Exercise::HOP[:between_s]

        # The same in a session, where a muscle that comes twice in a row wants a rest.
        def hop_s(other) = walk_s(other) + (works.intersect?(other.works) ? Exercise::HOP[:same_muscle_s] : 0)

        # Worth of so many sets.
        def worth_of(sets) = worth * Exercise::SHARES[sets]
      end

    Exercise::HOP = Tables[:session][:hop]
    Exercise::WRITE_DOWN_S = Tables[:session][:write_down][:seconds]
    # By the number of sets, none first: exact, so that equal worths are equal.
    Exercise::SHARES = Tables[:session][:shares_by_sets][:shares].map { |share| Rational(share.to_s) }.freeze
    Exercise::MOST_SETS = Exercise::SHARES.size - 1
  end
end
