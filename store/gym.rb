# frozen_string_literal: true

module Verglas
  module Store
    # One gym's rows. Every question about a gym's people and machines starts here, so that none can see another's.
    class Gym
      attr_reader :db, :id

      def initialize(db, id)
        @db = db
        @id = id
      end

      def clients = Tables::Clients.new(self)
      def readings = Tables::Readings.new(self)
      def machines = Tables::Machines.new(self)
      def fittings = Tables::Fittings.new(self)
      def photographs = Tables::Photographs.new(self)
      def cautions = Tables::Cautions.new(self)
      def rules = Tables::Rules.new(self)
      def equipment = Tables::Equipment.new(self)
      def queues = Tables::Queues.new(self)
      def row = db[:gyms].first(id: id)
    end
  end
end
