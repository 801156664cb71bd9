# frozen_string_literal: true

require "yaml"

module Verglas
  module Web
    # Who may ask what: web/roles.yml, read once and closed. With an operation that has no roles, a role that nobody has
    # or a row of no operation nothing is served.
    class Roles
      FILE = File.join(__dir__, "roles.yml")

      # What does not agree with the interface; a fault of whoever wrote it.
      class Open < StandardError
      end

      def self.shared = @shared ||= new(YAML.safe_load_file(FILE), operations: Contract.shared.operations("/api/"))

      # table: {operation => roles}; operations: names of all that there are.
      def initialize(table, operations:)
        missing = operations - table.keys
        raise Open, "#{FILE} has no row for #{missing.join(", ")}" if missing.any?

        unknown = table.keys - operations
        raise Open, "#{FILE} has rows of no operation: #{unknown.join(", ")}" if unknown.any?

        table.each do |operation, roles|
          strange = roles - Store::Staff::ROLES
          raise Open, "#{FILE}: #{operation} is for #{strange.join(", ")}, which nobody is" if strange.any?
        end
        @table = table.transform_values(&:freeze).freeze
      end

      # Raises Invalid where somebody of this role may not.
      def check!(role, operation)
        roles = @table.fetch(operation)
        raise Invalid, roles == %w[lead] ? :lead_only : :role_refused unless roles.include?(role)
      end

      # Names of what somebody of this role may ask.
      def allowed(role) = @allowed&.[](role) || all_allowed.fetch(role)

      private

      def all_allowed
        @allowed =
          Store::Staff::ROLES.to_h { |role| [role, @table.filter_map { |name, roles| name if roles.include?(role) }] }
      end
    end
  end
end
