# frozen_string_literal: true

# Less of the range, for somebody new, is no reason for a worse fit: on every family that grows.
RSpec.describe "A fit with less of the range" do
  def worst(machine, body, share)
    wishes = Worked.wishes(machine, range_share: share)
    Verglas::Fitting::Solver.new(machine: machine, body: body, wishes: wishes).solutions.first.worst
  end

  Worked::MACHINES.each do |name, data|
    Verglas::Machines::Families
      .fetch(Verglas::Machines::Families.named(*data.values_at("family", "kind")))
      .plain_exercises
      .select { |_, family| family.wishes.key?(:range_share) }
      .each_key do |exercise|
        it "is no worse on #{[name, exercise].compact.join(", ")} than with all of it" do
          machine = Verglas::Machines::Reader.read(data, exercise: exercise)
          random = Random.new(12)
          8.times do
            body = random_body(random)
            whole, *less = [1.0, 0.75, 0.5].map { |share| worst(machine, body, share) }
            expect(less.max).to be <= whole, body.to_h.to_s
          end
        end
      end
  end
end
