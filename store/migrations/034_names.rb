# frozen_string_literal: true

# No name holds a sign that is not seen: one turns what stands beside it, or ends a line. Those that were written before
# stay.
Sequel.migration do
  unseen = "[[:cntrl:]\u200E\u200F\u202A-\u202E\u2066-\u2069\uFEFF]"
  up do
    %w[client machine].each do |what|
      run "ALTER TABLE #{what}s ADD CONSTRAINT #{what}_name_seen CHECK (name !~ '#{unseen}') NOT VALID"
    end
  end

  down { %w[client machine].each { |what| run "ALTER TABLE #{what}s DROP CONSTRAINT #{what}_name_seen" } }
end
