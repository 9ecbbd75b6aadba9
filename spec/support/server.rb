# frozen_string_literal: true

require "net/http"
require "socket"

# The application as people run it: a process of its own with a database of its own, on a free port of the loopback
# address.
class Server
  ROOT = File.expand_path("../..", __dir__)

  # One person's browser, as far as forms go: a cookie and a token.
  class Client
    def initialize(port)
      @port = port
      @http = Net::HTTP.new("127.0.0.1", port)
      @http.read_timeout = 60
      @token = get("/").body[/name="authenticity_token" value="([^"]+)"/, 1]
    end

    attr_reader :cookie

    def get(path)
      ask(Net::HTTP::Get.new(path))
    end

    def post(path, fields)
      ask(Net::HTTP::Post.new(path)
        .tap { |request| request.set_form_data({authenticity_token: CGI.unescapeHTML(@token), **fields}) })
    end

    # Returns the answer to a file that is brought in.
    def bring(bytes, name)
      request = Net::HTTP::Post.new("/manuscripts")
      request.set_form([["authenticity_token", CGI.unescapeHTML(@token)], ["file", bytes, {filename: name}]],
        "multipart/form-data")
      ask(request)
    end

    # The number of the document that a file became, by the answer to it: at once, or once it was read. Nil after 40 s.
    def document_of(answer)
      400.times do
        place = answer["location"]
        return place[%r{manuscripts/(\d+)}, 1] if place.include?("/manuscripts/")
        sleep 0.1
        asked = get(URI(place).path)
        answer = asked if asked["location"]
      end
      nil
    end

    private

    def ask(request)
      request["Cookie"] = @cookie if @cookie
      @http.request(request).tap { |answer| @cookie = answer["set-cookie"][/\A[^;]+/] if answer["set-cookie"] }
    end
  end

  attr_reader :port, :folder

  def self.open(**options)
    Dir.mktmpdir("norvel-server") do |folder|
      server = new(folder, **options)
      yield server
    ensure
      server&.stop
    end
  end

  # A folder with the database as the demo is loaded into it, made once.
  def self.demo
    @demo ||= Dir.mktmpdir("norvel-demo").tap do |folder|
      at_exit { FileUtils.rm_rf(folder) }
      system({"NORVEL_DATABASE" => "#{folder}/s.sqlite3", "RACK_ENV" => "production"}, "bundle exec ruby demo/load.rb",
        chdir: ROOT, exception: true)
    end
  end

  def initialize(folder)
    @folder = folder
    @port = Socket.tcp_server_sockets("127.0.0.1", 0) do |(socket)|
      break socket.local_address.ip_port.tap { socket.close }
    end
    FileUtils.cp(Dir["#{self.class.demo}/*"], folder)
    start
  end

  def start
    @process = spawn(environment, "bundle exec puma -C config/puma.rb config.ru", chdir: ROOT, out: "#{folder}/log",
      err: [:child, :out])
    200.times { up? ? break : sleep(0.1) }
  end

  def kill
    Process.kill(:KILL, @process) && Process.wait(@process) if @process
    @process = nil
  end
  alias_method :stop, :kill

  def client
    Client.new(port)
  end

  private

  def environment
    {"NORVEL_DATABASE" => "#{folder}/s.sqlite3", "RACK_ENV" => "production", "PORT" => port.to_s}
  end

  def up?
    TCPSocket.new("127.0.0.1", port).close.nil?
  rescue SystemCallError
    false
  end
end
