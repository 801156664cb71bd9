# frozen_string_literal: true

module Verglas
  module Application
    # One machine of many: where something cannot be computed there, its line says so and all the others stand. What
    # went wrong and where goes to the log, with the machine's id and nothing of the person.
    module OneLine
      # What keeps everybody off such a machine until somebody has looked at it.
      BAR = Bar.of(:not_computed)
      # What the whole request is about, not one machine.
      WHOLE = [Sequel::Error, Errno::ENOSPC].freeze

      module_function

      # What the block answers; where it fails, what `instead` answers.
      def of(machine_id, instead)
        yield
      rescue *WHOLE
        raise
      rescue StandardError => e
        warn(
          "#{complaint(e)}, machine #{machine_id}, at " \
            "#{e.backtrace.to_a.first(4).map { |line| line.delete_prefix("#{ROOT}/") }.join(" < ")}"
        )
        instead.call
      end

      # What an error says of code and data. An error of Ruby's own may show whom it was about: of that its kind and the
      # name that was asked for.
      def complaint(error)
        case error
        when Invalid
          "#{error.class} #{error.code} at #{error.path}"
        when KeyError
          "#{error.class} #{error.key}"
        when NameError
          "#{error.class} #{error.name}"
        when ArgumentError
          "#{error.class} #{error.message}"
        else
          error.class.name
        end
      end
      private_class_method :complaint
    end
  end
end
