# frozen_string_literal: true

module Verglas
  module Ops
    # The bench in its states, for Pictures.
    module BenchPictures
      private

      def bench(name, machine, picture)
        open_client(name)
        find("[data-machine='#{machine}']", match: :first).find("a, button", text: /Fit|Resume/, match: :first).click
        assert_selector "[data-adjuster]"
        shot(picture)
      end

      def benches
        bench("Imre Talbot-Vane", "Leg extension 1", "bench")
        whole_fitting("Perpetua Lowe", "Leg curl 1")
        bench("Dagny Holm", "Leg extension 1", "bench-caution")
        placing("Caspian Thwaite", "Leg press 1", "@foot_mm", "bench-press")
        hips
      end

      # A hinge with ten kilograms at the chest; and the bench with its steps folded away.
      def hips
        bench("Ione Fairweather", "Hip bench 1", nil)
        click_button "Back to the advised"
        at("@bottom_deg")
        2.times { find("[aria-label^='Held at the chest, kg up']").click }
        assert_selector "[data-placed=held_kg]", text: "10"
        assert_selector "[data-effort-curve]", text: "body weight alone"
        shot("bench-hip")
      end

      # From before anyone sits to watching: the back pad is moved after roller and thigh pad were seen.
      def whole_fitting(name, machine)
        bench(name, machine, nil)
        6.times { click_button(text: /\ANext: /) }
        click_button(text: /steps behind you/)
        at("back pad")
        find("[aria-label^='Back pad one mark']", match: :first).click
        at("@again")
        assert_selector "[data-moved]"
        load_and_watch
      end

      def load_and_watch
        at("@working")
        fill_in "Wanted, kg", with: "26"
        click_button "Nearest"
        assert_selector "[data-load]", text: "26 kg"
        at("@watch")
        click_button "Half a finger ahead"
        find("label", text: /Roller (climbs|slides)/, match: :first).click
        assert_selector "[data-next-move], [data-cause]"
        shot("bench-watch")
      end

      def at(step) = find("[data-step='#{step}'] button").click

      # At the step where feet or chain are placed.
      def placing(name, machine, step, picture)
        bench(name, machine, nil)
        at(step)
        assert_selector "[data-placed]"
        shot(picture)
      end
    end
  end
end
