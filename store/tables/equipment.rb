# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # What one gym owns besides machines: cushions behind the back and on the seat, pads under the hips, by size in
      # mm; plates, by mass in kg; and elastic bands, by what they are called and how hard they pull, N.
      class Equipment
        def initialize(gym)
          @gym = gym
        end

        # {kind => sizes} of what there is, thinnest first.
        def sizes
          rows = @gym.db[:gym_equipment].where(gym_id: @gym.id).order(:size_mm).select_hash_groups(:kind, :size_mm)
          rows.transform_values { |sizes| sizes.map(&:to_f) }
        end

        # {kg => pairs}, heaviest first.
        def plates
          @gym.db[:gym_plates]
            .where(gym_id: @gym.id)
            .order(Sequel.desc(:mass_kg))
            .select_hash(:mass_kg, :pairs)
            .transform_keys(&:to_f)
        end

        def replace_plates(plates)
          @gym.db.transaction do
            @gym.db[:gym_plates].where(gym_id: @gym.id).delete
            @gym.db[:gym_plates].multi_insert(plates.map { |kg, pairs| { gym_id: @gym.id, mass_kg: kg, pairs: pairs } })
          end
        end

        # {N => what it is called}, weakest first.
        def bands
          @gym.db[:gym_bands].where(gym_id: @gym.id).order(:newton).select_hash(:newton, :name)
        end

        def replace_bands(bands)
          @gym.db.transaction do
            @gym.db[:gym_bands].where(gym_id: @gym.id).delete
            @gym.db[:gym_bands].multi_insert(bands.map { |n, name| { gym_id: @gym.id, name: name, newton: n } })
          end
        end

        def replace(sizes)
          @gym.db.transaction do
            @gym.db[:gym_equipment].where(gym_id: @gym.id).delete
            rows =
              sizes.flat_map { |kind, list| list.uniq.map { |size| { gym_id: @gym.id, kind: kind, size_mm: size } } }
            @gym.db[:gym_equipment].multi_insert(rows)
          end
        end
      end
    end
  end
end
