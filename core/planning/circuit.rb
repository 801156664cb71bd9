# frozen_string_literal: true

module Verglas
  module Planning
    # One order of people for all stations, in which the least has to be moved: everybody comes to every station after
    # the same neighbour. Exact to MOST people.
    class Circuit
      MOST = 12

      # people: [{station => {label => place of the mark}}], a station left out where somebody does not go there;
      # changeovers: {station => Changeover}; closed: whether the last comes before the first again (they rotate): then
      # person 0 begins.
      def initialize(people, changeovers, closed:)
        raise Invalid.new(:too_many_people, path: "/people", most: MOST) if people.size > MOST

        @people = people
        @changeovers = changeovers
        @closed = closed
      end

      # Indices of people; of orders that cost the same the one whose numbers come first.
      def order
        @order ||= @closed ? [0, *closed_order.map { |index| index + 1 }] : Orders.new(between).order(everybody)
      end

      # Seconds of changing over, of all stations and neighbours.
      def seconds = @seconds ||= neighbours.sum { |one, next_one| between[one][next_one] }

      # Of the neighbours in that order, [[index, index]].
      def neighbours = @closed && @people.size > 1 ? order.zip(order.rotate) : order.each_cons(2).to_a

      # At one station, from one person to the next: nothing where either does not go there.
      def change_s(station, one, next_one)
        from, upto = [one, next_one].map { |index| @people[index][station] }
        from && upto ? @changeovers.fetch(station).seconds(from, upto) : 0
      end

      private

      def everybody = (1 << @people.size) - 1

      def between
        @between ||=
          @people.each_index.map do |one|
            @people.each_index.map { |other| @changeovers.keys.sum { |station| change_s(station, one, other) } }
          end
      end

      # The others, between leaving person 0 and coming back.
      def closed_order
        others = between.drop(1).map { |row| row.drop(1) }
        return [] if others.empty?

        Orders.new(others, first: between[0].drop(1), last: between.drop(1).map(&:first)).order(everybody >> 1)
      end
    end
  end
end
