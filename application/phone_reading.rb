# frozen_string_literal: true

module Verglas
  module Application
    # What a phone does that reads a movement: it opens a code once, sends samples batch by batch with a secret of its
    # own, and says when the set is over. Nobody is signed in there, and no name is told.
    class PhoneReading
      Movements = Store::Tables::Movements
      READS_S = Movements::READS_S
      # Clocks differ by so much, and a batch is on its way so long.
      AHEAD_S = 5.0
      MOST_SAMPLES = READS_S * 100

      def initialize(db)
        @db = db
      end

      # {secret:, movement:} of the code. Raises Invalid where it opens none (any more).
      def opened(code)
        row = Movements.opened(@db, code) or raise Invalid, :code_over
        { secret: row[:secret], movement: movement(row) }
      end

      # Answers {through:, movement:}: up to which batch none is missing, and what is read so far. samples: of seven
      # numbers; anew: nothing that came before counts. Raises Invalid for what cannot be, and where it is over.
      def take(secret, number, samples, anew: false)
        @db.transaction do
          row, gym = reading(secret)
          check(row, samples)
          gym.movements.take(row[:id], number, samples, anew: anew)
          through = gym.movements.through(row[:id])
          found = read(gym, row)
          gym.movements.note(row[:id], found)
          { through: through, movement: Movement.new(row[:asked], found) }
        end
      end

      # The set is over. Said twice, it is over once.
      def ended(secret)
        @db.transaction do
          row, gym = reading(secret, over: true)
          gym.movements.note(row[:id], row[:found].to_h, over: true) unless row[:ended_at]
          { movement: movement(row) }
        end
      end

      private

      def movement(row) = Movement.new(row[:asked], row[:found])

      def reading(secret, over: false)
        row = Movements.read_with(@db, secret)
        raise Invalid, :reading_over if row.nil? || (row[:ended_at] && !over)

        [row, Store::Gym.new(@db, row[:gym_id])]
      end

      # Times rise, and none is later than now.
      def check(row, samples)
        times = samples.map(&:first)
        raise Invalid.new(:samples_disordered, path: "/samples") unless times == times.sort

        latest = @db.get(Sequel.lit("extract(epoch FROM now())")) - row[:opened_at].to_f + AHEAD_S
        raise Invalid.new(:samples_ahead, path: "/samples") if times.last > latest
        return if times.last <= READS_S

        raise Invalid.new(:reading_too_long, path: "/samples", seconds: READS_S)
      end

      def read(gym, row)
        samples = gym.movements.samples(row[:id])
        raise Invalid.new(:reading_too_long, path: "/samples", seconds: READS_S) if samples.size > MOST_SAMPLES

        Movement.new(row[:asked]).read(samples)
      end
    end
  end
end
