# frozen_string_literal: true

# A clinician's degrees name joint and motion: {motion: [from, to]}. Until now every number was one of the knee's bend.
Sequel.migration do
  up do
    alter_table(:client_cautions) { add_column :degrees, :json, null: false, default: "{}" }
    from(:client_cautions).exclude(bend_from_deg: nil, bend_to_deg: nil).update(
      degrees:
        Sequel.function(
          :json_build_object,
          "knee_flexion",
          Sequel.function(:json_build_array, :bend_from_deg, :bend_to_deg)
        )
    )
    alter_table(:client_cautions) do
      %i[caution_degrees_are_a_clinicians caution_degrees_in_range].each { |name| drop_constraint name }
      %i[bend_from_deg bend_to_deg].each { |name| drop_column name }
      add_constraint(:caution_degrees_are_an_object, Sequel.function(:json_typeof, :degrees) => "object")
      add_constraint(:caution_degrees_are_a_clinicians) { Sequel.lit("cleared_on IS NOT NULL OR degrees::text = '{}'") }
    end
  end

  down do
    alter_table(:client_cautions) do
      add_column :bend_from_deg, "numeric(4,1)"
      add_column :bend_to_deg, "numeric(4,1)"
    end
    from(:client_cautions).update(
      bend_from_deg: Sequel.lit("(degrees->'knee_flexion'->>0)::numeric"),
      bend_to_deg: Sequel.lit("(degrees->'knee_flexion'->>1)::numeric")
    )
    alter_table(:client_cautions) do
      %i[caution_degrees_are_an_object caution_degrees_are_a_clinicians].each { |name| drop_constraint name }
      drop_column :degrees
      add_constraint(:caution_degrees_are_a_clinicians) do
        Sequel.lit("cleared_on IS NOT NULL OR (bend_from_deg IS NULL AND bend_to_deg IS NULL)")
      end
      add_constraint(:caution_degrees_in_range) do
        Sequel.lit("bend_from_deg BETWEEN 0 AND 160 AND bend_to_deg BETWEEN 0 AND 160 AND bend_from_deg <= bend_to_deg")
      end
    end
  end
end
