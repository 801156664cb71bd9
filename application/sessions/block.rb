# frozen_string_literal: true

module Verglas
  module Application
    module Sessions
      # One stretch of a session at a machine, or at two in turn.
      #   members   [Possible], one or two; kept: whether somebody wants it in any case
      #   sets      of each; hop_s: the walk before it; starts_s: where it begins, hop over
      #   exercise  Planning::Exercise, of both together where two are done in turn
      #   why       [[code, params]] why it is there, and why at that place
      Block =
        Value.define(:members, :sets, :kept, :hop_s, :starts_s, :exercise, :why) do
          def keys = members.map(&:key)
          def id = exercise.id
          def seconds = exercise.alone_s(sets)
          def ends_s = starts_s + seconds

          # [[kind, seconds]] in the order in which they come.
          def parts
            once = first_fitting
            first = [
              [:change, exercise.change_s - once.values.sum],
              [:in, exercise.in_s],
              [:look, once.fetch(:look_s, 0)],
              [:light, exercise.light_s]
            ]
            work = Array.new(sets) { |number| [*([:rest, exercise.rest_s] if number.positive?), :set, exercise.set_s] }
            work = work.flatten.each_slice(2).to_a
            last = [
              [:watch, once.fetch(:watch_s, 0)],
              [:accept, once.fetch(:accept_s, 0)],
              [:out, exercise.out_s + Planning::Exercise::WRITE_DOWN_S]
            ]
            [*first, *work, *last].reject { |_, taken| taken.zero? }
          end

          # Of all its seconds, as a variance.
          def variance
            members.sum do |member|
              once, set, rest = member.sd_s.values_at(:once, :set, :rest)
              (astray_s(member)**2) + (once**2) + (sets * (set**2)) + ((sets - 1) * (rest**2))
            end
          end

          private

          # {look_s:, watch_s:, accept_s:} of all that are fitted there for the first time.
          def first_fitting = members.map(&:first_fitting).inject({}) { |all, one| all.merge(one) { |_, a, b| a + b } }

          # How far setting up its machine goes astray.
          def astray_s(member) = member.set_up_sd * exercise.change_s / members.size
        end
    end
  end
end
