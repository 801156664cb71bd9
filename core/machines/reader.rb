# frozen_string_literal: true

module Verglas
  module Machines
    # Plain data (string keys, as in a JSON document or a row) to a Machine. Raises Invalid with the path into the data.
    module Reader
      module_function

      def read(data)
        Machine.new(id: data.fetch("id", ""), name: data.fetch("name", ""), family: Families.fetch(data.fetch("family")),
                    constants: data.fetch("constants").transform_keys(&:to_sym), adjusters: adjusters(data.fetch("adjusters")))
      end

      def adjusters(list)
        list.each_with_index.map do |adjuster, index|
          Adjuster.new(label: adjuster.fetch("label"), marks: adjuster.fetch("marks"),
                       travel: adjuster.fetch("travel").map(&:to_f), drives: adjuster.fetch("drives").transform_keys(&:to_sym))
        rescue Invalid => e
          raise e.below("/adjusters/#{index}")
        end
      end
      private_class_method :adjusters
    end
  end
end
